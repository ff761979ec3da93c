import { readFileSync } from 'node:fs';

const TICKS_PER_S = 100;

/** The most memory a process has taken so far, its peak resident set in MB. Linux only: NaN elsewhere. */
export function peakOf(pid: number): number {
  try {
    return Number(/VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;
  } catch {
    return Number.NaN;
  }
}

/** Seconds of processor time that a process has taken so far, all its threads together. Linux only: NaN elsewhere. */
export function processorSeconds(pid: number): number {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8')
      .replace(/^.*\) /, '')
      .split(' ');
    return (Number(fields[11]) + Number(fields[12])) / TICKS_PER_S;
  } catch {
    return Number.NaN;
  }
}
