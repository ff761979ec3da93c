import { fileCards } from './bench.ts';
import { CALCULATIONS, runCalculation } from '@icy-ribbon/core/registry';
import type { Calculation } from '@icy-ribbon/core/base/calculation';

/** docs/computation.md: every calculation as the registry describes it, with its example computed. */
export function computationDocument(): string {
  const all = CALCULATIONS as readonly unknown[] as readonly Calculation[];
  return `${[HEAD, ...all.map(chapter), ...fileCards().map(fileChapter)].join('\n')}`;
}

const HEAD = `# How it computes

Written from the registry that the bench, the API and the page "How it computes" read (\`npm run computation\`).
"From memory" marks a source whose formula was written down without the paper at hand; "common practice" has no
published source. Beyond these: readings are joined by a Gaussian update in ln(viscosity) over all materials of a
set at once (\`core/src/thickness/learn\`), a set is matched by additions only (\`core/src/thickness/match\`).
`;

function chapter(calculation: Calculation): string {
  const { name, title, law, source, range, assumes, typical, example } = calculation;
  const answer = runCalculation(calculation, example);
  return `## ${name}

${title}.

- **Law:** \`${law}\`
- **Source:** ${source}
- **Holds for:** ${range}
- **Assumes:** ${assumes}
- **Typical:** ${typical}
- **Example:** \`${JSON.stringify(example)}\` gives \`${JSON.stringify(rounded(answer))}\`
`;
}

/** Six digits, so that the document does not change with the last bit of a machine. */
function rounded(value: unknown): unknown {
  return JSON.parse(
    JSON.stringify(value, (_key, each: unknown) =>
      typeof each === 'number' ? Number(each.toPrecision(6)) : each,
    ),
  ) as unknown;
}

/** Without an answer, which would need a picture at hand. */
function fileChapter({ card, example }: ReturnType<typeof fileCards>[number]): string {
  const { name, title, law, source, range, assumes, typical } = card;
  return `## ${name}

${title}. On the bench only, as it reads a file: \`${example}\`.

- **Law:** \`${law}\`
- **Source:** ${source}
- **Holds for:** ${range}
- **Assumes:** ${assumes}
- **Typical:** ${typical}
`;
}
