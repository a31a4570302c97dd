import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import DarkMode from '@mui/icons-material/DarkModeOutlined';
import LightMode from '@mui/icons-material/LightModeOutlined';
import { Key } from '../pieces/texts';
import { frame } from '../words';
import { useShell } from './useShell';
import topCss from './Top.module.css';

/** Who is working, the dim screen, find. */
export function TopTools() {
  const { who, open } = useShell();
  return (
    <>
      <DimSwitch />
      <Button
        id="who"
        variant="plain"
        className={topCss.who}
        aria-label={`${frame.who}: ${who}`}
        onClick={() => open('person')}
      >
        <span>{who}</span>
      </Button>
      <Button variant="plain" onClick={() => open('find')}>
        <Key className={topCss.key}>/</Key> {frame.find}
      </Button>
    </>
  );
}

/** Before the first paint the page itself has set what this tablet chose. */
function DimSwitch() {
  const { mode, setMode } = useColorScheme();
  const dim = mode === 'dark';
  const Icon = dim ? LightMode : DarkMode;
  const word = dim ? frame.bright : frame.dim;
  return (
    <Button
      variant="plain"
      aria-label={word}
      title={word}
      onClick={() => setMode(dim ? 'light' : 'dark')}
    >
      <Icon fontSize="small" />
    </Button>
  );
}
