import { expose } from 'comlink';
import { decodeText, type DecodedText } from '../csv/decodeText.ts';
import {
  readCsv,
  readMaterials,
  type ColumnMatch,
  type CsvEdit,
  type CsvFile,
  type ReadMaterials,
} from '../csv/materialCsv.ts';

/** The first rows of a table, for looking at; the rest stays with the worker. */
export interface CsvGlance {
  readonly header: readonly string[];
  readonly first: readonly (readonly string[])[];
  readonly rows: number;
  readonly encoding: DecodedText['encoding'];
}

const GLANCE = 6;
let file: CsvFile = { header: [], rows: [] };

/** Reads tables away from the page, which stays alive meanwhile. */
const csvWorker = {
  /** @throws InputError when it holds more than can be read in at once */
  open(bytes: Uint8Array): CsvGlance {
    const { text, encoding } = decodeText(bytes);
    file = readCsv(text);
    return { header: file.header, first: file.rows.slice(0, GLANCE), rows: file.rows.length, encoding };
  },
  /** @param onProgress told the share of the rows that are read */
  read(match: ColumnMatch, edits: readonly CsvEdit[], onProgress: (share: number) => void): ReadMaterials {
    return readMaterials(file, match, edits, onProgress);
  },
};

export type CsvWorker = typeof csvWorker;
expose(csvWorker);
