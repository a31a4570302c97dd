import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import { useColorScheme } from '@mui/material/styles';
import DarkMode from '@mui/icons-material/DarkModeOutlined';
import LightMode from '@mui/icons-material/LightModeOutlined';
import { Key } from '../pieces/texts';
import { frame } from '../words';
import { useShell } from './useShell';
import topCss from './Top.module.css';

/** Who is working, the dim screen, find. */
export function TopTools() {
  const { shop, who, setWho, open } = useShell();
  return (
    <>
      <DimSwitch />
      <NativeSelect
        className={topCss.who}
        disableUnderline
        inputProps={{ 'aria-label': frame.who, id: 'who' }}
        value={who}
        onChange={(event) => setWho(event.target.value)}
      >
        {shop.people.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </NativeSelect>
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
