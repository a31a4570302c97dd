import { frame } from '../words';
import { Key } from '../pieces/texts';
import { Panel } from './Panel';
import css from './KeysDialog.module.css';

export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Panel title={frame.keys} onClose={onClose}>
    <dl className={css.keyList}>
      {frame.keyList.map(([key, what]) => (
        <div key={key}>
          <dt>
            <Key>{key}</Key>
          </dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  </Panel>
);
