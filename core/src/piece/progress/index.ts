export {
  PIECE_PHASES,
  pieceProgress,
  type PieceFacts,
  type PiecePhase,
  type PieceProgress,
} from './progress.ts';
