/** Two to four pours are told apart by shape first, then by color. */
export const MARKS = [
  { shape: 'circle', color: '#1f6585' },
  { shape: 'diamond', color: '#b58220' },
  { shape: 'square', color: '#7d3c63' },
  { shape: 'triangle', color: '#3e7a4f' },
] as const;
