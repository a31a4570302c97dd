'use client';
import { useSyncExternalStore } from 'react';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { ShopUnits } from '@/core/units';
import { TextField } from '../fields/TextField';
import { PageHead } from '../frame/PageHead';
import { Page } from '../pieces/Page';
import { Actions } from '../pieces/layout';
import { Note } from '../pieces/texts';
import { Text } from '../pieces/Text';
import { codeWords as w } from '../words';
import { pages } from '../words/pages';
import { CodeFacts } from './CodeFacts';
import { TakeAsModel, type OpenJob } from './TakeAsModel';
import { hasCamera, useCamera } from './useCamera';
import { useCode } from './useCode';
import css from './CodePage.module.css';

const never = () => () => undefined;

/** Reads the code of a card: camera, picture or text; then whose it is here, and its numbers. */
export function CodePage({
  units,
  jobs,
}: {
  units: ShopUnits;
  /** Open ones, a bow that was read can be compared with. */
  jobs: readonly OpenJob[];
}) {
  const { text, found, trouble, take, picture } = useCode();
  const camera = useCamera((code) => void take(code));
  // What the browser can do is not known to the server.
  const canLook = useSyncExternalStore(never, hasCamera, () => false);
  return (
    <>
      <PageHead title={pages.code} />
      <Page width="wide">
        <Stack spacing={2}>
          <Text soft>{w.lead}</Text>
          <Actions>
            {canLook && (
              <Button variant="contained" onClick={camera.on ? camera.stop : camera.start}>
                {camera.on ? w.stop : w.camera}
              </Button>
            )}
            <Button variant="outlined" component="label">
              {w.picture}
              <input
                id="code-picture"
                type="file"
                accept="image/*"
                hidden
                onChange={({ target }) => {
                  void picture(target.files?.[0]);
                  target.value = '';
                }}
              />
            </Button>
          </Actions>
          {!canLook && <Text soft>{w.noCamera}</Text>}
          {camera.failed && <Note role="alert">{w.cameraFailed}</Note>}
          {camera.on && (
            <figure className={css.camera}>
              <video ref={camera.video} muted playsInline />
              <figcaption>{w.looking}</figcaption>
            </figure>
          )}
          <TextField
            id="code-text"
            label={w.pasted}
            helperText={w.pastedHint}
            value={text}
            multiline
            minRows={3}
            maxRows={8}
            onChange={(event) => void take(event.target.value)}
          />
          {trouble && (
            <Note kind="stop" role="alert">
              {trouble}
            </Note>
          )}
          {found && <TakeAsModel text={text} jobs={jobs} />}
          {found && <CodeFacts found={found} units={units} />}
        </Stack>
      </Page>
    </>
  );
}
