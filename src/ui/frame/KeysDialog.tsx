import { frame } from '../words';
import { Panel } from './Panel';

export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Panel title={frame.keys} onClose={onClose}>
    <dl className="key-list">
      {frame.keyList.map(([key, what]) => (
        <div key={key}>
          <dt>
            <span className="key">{key}</span>
          </dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  </Panel>
);
