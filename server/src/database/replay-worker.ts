import { workerData } from 'node:worker_threads';
import Database from 'better-sqlite3';

// Folds the log of a database into its file, beside those who read and write.
const db = new Database(workerData as string);
db.pragma('wal_checkpoint(PASSIVE)');
db.close();
