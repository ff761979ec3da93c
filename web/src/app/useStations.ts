import { computed } from 'vue';
import { usePiece } from '../store/piece/piece.ts';
import { STATIONS, type StationName } from './stations.ts';

/** The stations as links: where each leads, which are open, how far along them the piece in hand is. */
export function useStations() {
  const store = usePiece();
  const links = computed(() =>
    STATIONS.map((station) => ({
      ...station,
      isOpen: !station.needsPiece || store.inHandId !== null,
      to: station.needsPiece
        ? { name: station.name, params: { pieceId: store.inHandId ?? '' } }
        : { name: station.name },
    })),
  );
  /** Index of the station that the piece in hand has reached; -1 without one. */
  const reached = computed(() => {
    if (!store.piece) return -1;
    const here: StationName = store.progress.station;
    return STATIONS.findIndex(({ name }) => name === here);
  });
  return { links, reached };
}
