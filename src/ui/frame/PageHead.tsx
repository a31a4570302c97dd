import { Brand } from './Brand';
import { TopTools } from './TopTools';

/** The head of a page that belongs to the shop and not to one job. */
export function PageHead({ title }: { title: string }) {
  return (
    <header className="top">
      <Brand />
      <h1>{title}</h1>
      <div className="facts">
        <TopTools />
      </div>
    </header>
  );
}
