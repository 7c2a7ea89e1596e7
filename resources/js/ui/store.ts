import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A database of the browser with one store, whose rows belong to somebody: their `owner` comes first in each key. */
export function storeOf<Schema extends DBSchema>(
  name: string,
  make: (made: IDBPDatabase<Schema>) => void,
): () => Promise<IDBPDatabase<Schema>> {
  let database: Promise<IDBPDatabase<Schema>> | undefined;
  return () => {
    database ??= openDB<Schema>(name, 1, { upgrade: make });
    // One that could not be opened may be the next time.
    database.catch(() => (database = undefined));
    return database;
  };
}
