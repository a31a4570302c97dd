import type { Db } from './db';

/** How one field is kept in its column. */
interface Column {
  readonly column: string;
  readonly as: 'plain' | 'boolean' | 'json';
  /** A boolean that may also be NULL. */
  readonly orNull?: boolean;
}

const snake = (field: string) => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

export const plain = (field: string): Column => ({ column: snake(field), as: 'plain' });
export const boolean = (field: string): Column => ({ column: snake(field), as: 'boolean' });
export const booleanOrNull = (field: string): Column => ({
  column: snake(field),
  as: 'boolean',
  orNull: true,
});
export const json = (field: string): Column => ({ column: `${snake(field)}_json`, as: 'json' });

type Row = Record<string, unknown>;

/**
 * One place per table that maps records to rows and back. Every field is named once; a column
 * the table does not have fails at once, since the SQL is made from the same list.
 */
export class RowMapping<T extends object> {
  private readonly entries: readonly (readonly [keyof T & string, Column])[];

  constructor(
    readonly table: string,
    columns: { readonly [K in keyof T]-?: Column },
  ) {
    this.entries = Object.entries(columns) as [keyof T & string, Column][];
  }

  get columnList(): string {
    return this.entries.map(([, { column }]) => `${this.table}.${column}`).join(', ');
  }

  toRow(record: T): Row {
    return Object.fromEntries(
      this.entries.map(([field, { column, as, orNull }]) => {
        const value = record[field];
        if (value === undefined) throw new Error(`${this.table}.${field} is missing`);
        if (orNull && value === null) return [column, null];
        if (as === 'boolean') return [column, value ? 1 : 0];
        return [column, as === 'json' ? JSON.stringify(value) : value];
      }),
    );
  }

  fromRow(row: unknown): T {
    return Object.fromEntries(
      this.entries.map(([field, { column, as, orNull }]) => {
        const value = (row as Row)[column];
        if (orNull && value === null) return [field, null];
        if (as === 'boolean') return [field, value === 1];
        return [field, as === 'json' ? JSON.parse(value as string) : value];
      }),
    ) as T;
  }

  insert(db: Db, record: T): void {
    const row = this.toRow(record);
    const names = Object.keys(row);
    db.prepare(
      `INSERT INTO ${this.table} (${names.join(', ')}) VALUES (${names.map((n) => `@${n}`).join(', ')})`,
    ).run(row);
  }

  /** Writes every column but the key's. */
  update(db: Db, record: T, key: keyof T & string): void {
    const row = this.toRow(record);
    const keyColumn = this.entries.find(([field]) => field === key)![1].column;
    const sets = Object.keys(row).filter((name) => name !== keyColumn);
    db.prepare(
      `UPDATE ${this.table} SET ${sets.map((n) => `${n} = @${n}`).join(', ')} WHERE ${keyColumn} = @${keyColumn}`,
    ).run(row);
  }
}
