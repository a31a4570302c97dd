import Button from '@mui/material/Button';
import { Rows } from './layout';
import { Text } from './Text';
import css from './BackupRows.module.css';

/** A backup as it is offered. */
export interface Backup {
  readonly name: string;
  /** UTC instant it was made at. */
  readonly at: string;
  readonly bytes: number;
}

const megabytes = (bytes: number) => `${Math.max(1, Math.round(bytes / 1e5)) / 10} MB`;

/** Backups in a list, each with its button; a sentence where there is none. */
export function BackupRows({
  backups,
  whenOf,
  put,
  busy,
  none = '',
  onPut,
}: {
  readonly backups: readonly Backup[];
  readonly whenOf: (backup: Backup) => string;
  /** What its button says, and says to who does not see where it stands. */
  readonly put: (backup: Backup) => { readonly says: string; readonly label: string };
  readonly busy: boolean;
  readonly none?: string;
  readonly onPut: (backup: Backup) => void;
}) {
  return (
    <Rows className={css.backups}>
      {backups.map((backup) => (
        <li key={backup.name}>
          <Text variant="figure">{whenOf(backup)}</Text>
          <Text soft as="span">
            {megabytes(backup.bytes)}
          </Text>
          <Button
            type="button"
            variant="text"
            disabled={busy}
            aria-label={put(backup).label}
            onClick={() => onPut(backup)}
          >
            {put(backup).says}
          </Button>
        </li>
      ))}
      {backups.length === 0 && (
        <Text soft as="li">
          {none}
        </Text>
      )}
    </Rows>
  );
}
