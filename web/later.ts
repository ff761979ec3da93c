import type { Plugin } from 'vite';

/** The list of files beside the pages. */
const LATER = 'later.json';
/** Pages that are likely opened next, in the order of the work. */
const NEXT = [
  /today\/parts\/StartPiece/,
  /mix\/MixStation/,
  /mix\/AtTheScale/,
  /mix\/parts\/(RepairPanel|SpoonHint)/,
  /thickness\/SetCheck/,
  /plan\/PlanStation/,
  /pour\/PourStation/,
  /results\/(OnePiece|ResultsStation)/,
  /rack\/(RackStation|OnTheRack)/,
  /shelf\/ShelfStation/,
] as const;

/** Writes which files the next pages need beyond those of the first, in order. */
export function laterFiles(): Plugin {
  return {
    name: 'later-files',
    apply: 'build',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).filter((each) => each.type === 'chunk');
      const filesOf = (name: string): string[] => {
        const chunk = chunks.find(({ fileName }) => fileName === name);
        return chunk
          ? [name, ...(chunk.viteMetadata?.importedCss ?? []), ...chunk.imports.flatMap(filesOf)]
          : [];
      };
      const files = new Set(
        NEXT.flatMap((page) =>
          chunks
            .filter(({ modules }) => Object.keys(modules).some((id) => page.test(id)))
            .flatMap(({ fileName }) => filesOf(fileName)),
        ),
      );
      const first = new Set(
        chunks.filter(({ isEntry }) => isEntry).flatMap(({ fileName }) => filesOf(fileName)),
      );
      const later = [...files].filter((name) => !first.has(name)).map((name) => `/${name}`);
      this.emitFile({ type: 'asset', fileName: LATER, source: JSON.stringify(later) });
    },
  };
}
