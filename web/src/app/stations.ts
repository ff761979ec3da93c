/** The stations of the work in their order; later ones join the line when they are built. */
export const STATIONS = [
  { name: 'today', label: 'Today', needsPiece: false },
  { name: 'shelf', label: 'Shelf', needsPiece: false },
  { name: 'mix', label: 'Mix', needsPiece: true },
  { name: 'thickness', label: 'Thickness', needsPiece: true },
  { name: 'plan', label: 'Plan', needsPiece: true },
  { name: 'pour', label: 'Pour', needsPiece: true },
  { name: 'results', label: 'Results', needsPiece: false },
  { name: 'rack', label: 'Rack', needsPiece: false },
  { name: 'practice', label: 'Practice', needsPiece: false },
] as const;

export type StationName = (typeof STATIONS)[number]['name'];
