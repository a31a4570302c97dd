'use client';
import { useEffect } from 'react';
import Button from '@mui/material/Button';
import { broken } from '../words';
import { Dress } from './Dress';
import { Notice } from './Notice';

const LOOK_EVERY_MS = 3000;
const reload = () => window.location.reload();

/** In the place of every page while the shop’s file cannot be used: what it is, and what to do. */
export function SickShop({ title, detail }: { title: string; detail: string }) {
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes';
    const look = setInterval(() => {
      fetch('/api/v1/health')
        .then((response) => response.ok && reload())
        // Nobody answers: looked again later.
        .catch(() => undefined);
    }, LOOK_EVERY_MS);
    return () => clearInterval(look);
  }, []);
  return (
    <Dress>
      <Notice title={title} text={`${detail} ${broken.opensByItself}`}>
        <Button variant="contained" onClick={reload}>
          {broken.again}
        </Button>
      </Notice>
    </Dress>
  );
}
