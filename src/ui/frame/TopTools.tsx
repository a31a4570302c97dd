'use client';
import { useEffect, useState } from 'react';
import DarkMode from '@mui/icons-material/DarkModeOutlined';
import LightMode from '@mui/icons-material/LightModeOutlined';
import { frame } from '../words';
import { useShell } from './useShell';

const KEY = 'waffenrad.dim';

/** Who is working, the dim screen, find. */
export function TopTools() {
  const { shop, who, setWho, open } = useShell();
  return (
    <>
      <DimSwitch />
      <select
        className="who"
        aria-label={frame.who}
        id="who"
        value={who}
        onChange={(event) => setWho(event.target.value)}
      >
        {shop.people.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      <button type="button" className="plain-button" onClick={() => open('find')}>
        <span className="key">/</span> {frame.find}
      </button>
    </>
  );
}

function DimSwitch() {
  const [dim, setDim] = useState(false);
  useEffect(() => {
    // Set before the first paint by the page itself.
    setDim(document.documentElement.dataset.dim === 'yes');
  }, []);
  const flip = () => {
    document.documentElement.dataset.dim = dim ? 'no' : 'yes';
    window.localStorage.setItem(KEY, dim ? 'no' : 'yes');
    setDim(!dim);
  };
  const Icon = dim ? LightMode : DarkMode;
  return (
    <button
      type="button"
      className="plain-button"
      aria-label={dim ? frame.bright : frame.dim}
      title={dim ? frame.bright : frame.dim}
      onClick={flip}
    >
      <Icon fontSize="small" />
    </button>
  );
}
