import { Brand } from './Brand';
import { TopTools } from './TopTools';
import topCss from './Top.module.css';

/** The head of a page that belongs to the shop and not to one job. */
export function PageHead({ title }: { title: string }) {
  return (
    <header className={topCss.top} data-part="top">
      <Brand />
      <h1>{title}</h1>
      <div className={topCss.facts}>
        <TopTools />
      </div>
    </header>
  );
}
