import { InputError } from '../../base/error/index.ts';

export interface PaletteColor {
  readonly name: string;
  readonly hex: string;
}

const HEADER = 'GIMP Palette';
const LINE = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*\S))?\s*$/;

/** Paint colors as a GIMP palette file (.gpl). */
export function writePalette(name: string, colors: readonly PaletteColor[]): string {
  const rows = colors.map(({ name: colorName, hex }) => {
    const channels = [1, 3, 5].map((start) => Number.parseInt(hex.slice(start, start + 2), 16));
    return `${channels.map((value) => String(value).padStart(3)).join(' ')}\t${oneLine(colorName)}`;
  });
  return [HEADER, `Name: ${oneLine(name)}`, 'Columns: 0', '#', ...rows, ''].join('\n');
}

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/**
 * Reads a GIMP palette file.
 *
 * @returns its colors in order; those without a name are called by their number
 * @throws InputError naming the line ("line 7") that cannot be read
 * @example readPalette('GIMP Palette\n156 74 44 Rust')[0].hex // '#9c4a2c'
 */
export function readPalette(text: string): PaletteColor[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  if (lines[0]?.trim() !== HEADER) {
    throw new InputError('line 1', `This is no palette: the first line must be "${HEADER}".`);
  }
  const colors: PaletteColor[] = [];
  lines.slice(1).forEach((line, index) => {
    if (!line.trim() || line.startsWith('#') || /^(Name|Columns):/.test(line)) return;
    const match = LINE.exec(line);
    const channels = match?.slice(1, 4).map(Number) ?? [];
    if (!match || channels.some((value) => value > 255)) {
      throw new InputError(`line ${index + 2}`, 'A color is written as three numbers up to 255 and a name.');
    }
    const hex = `#${channels.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
    const name = match[4] && match[4] !== 'Untitled' ? match[4] : `Color ${colors.length + 1}`;
    colors.push({ name, hex });
  });
  return colors;
}
