import type { ReferenceLiquid } from '@icy-ribbon/core/thickness/reading';

/** A reference reading while it is being written. */
export interface PointDraft {
  kind: 'glycerine' | 'known';
  percent: number | null;
  temperatureC: number | null;
  name: string;
  viscosityPaS: number | null;
  densityGPerMl: number | null;
  seconds: number | null;
}

export const emptyPoint = (temperatureC: number | null): PointDraft => ({
  kind: 'glycerine',
  percent: 100,
  temperatureC: temperatureC ?? 20,
  name: '',
  viscosityPaS: null,
  densityGPerMl: 1,
  seconds: null,
});

/** The point as it is kept; `undefined` while something is missing. */
export function pointOf(draft: PointDraft): { liquid: ReferenceLiquid; seconds: number } | undefined {
  const { seconds } = draft;
  if (seconds === null || seconds <= 0) return undefined;
  if (draft.kind === 'glycerine') {
    const { percent, temperatureC } = draft;
    if (percent === null || temperatureC === null) return undefined;
    if (percent < 0 || percent > 100 || temperatureC < 0 || temperatureC > 100) return undefined;
    return { liquid: { kind: 'glycerine', massFraction: percent / 100, temperatureC }, seconds };
  }
  const { name, viscosityPaS, densityGPerMl } = draft;
  if (!viscosityPaS || viscosityPaS <= 0 || !densityGPerMl || densityGPerMl <= 0 || !name.trim()) {
    return undefined;
  }
  return { liquid: { kind: 'known', name: name.trim(), viscosityPaS, densityGPerMl }, seconds };
}
