import { pagesTable } from './pages.ts';

process.stdout.write(`${await pagesTable()}\n`);
