export { runFilm, type FilmRun, type FilmRunResult, type FilmStep } from './filmRun.ts';
