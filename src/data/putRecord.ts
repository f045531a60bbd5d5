import { recordSchemas, type Records, type TableName } from '@/core/records/records';
import { database } from './database';

/**
 * Checks a record against its schema and stores it.
 * @param table table name
 * @param record the record
 * @throws ZodError for a record of the wrong shape: a programmer's error
 */
export async function putRecord<T extends TableName>(table: T, record: Records[T][number]): Promise<void> {
  recordSchemas[table].parse(record);
  await database().table(table).put(record);
}
