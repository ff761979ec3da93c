import { z } from 'zod';

/** The content policy allows no code made from text, so schemas must not try. */
z.config({ jitless: true });
