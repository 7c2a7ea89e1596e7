import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { queries } from './api/queries';
import { Screens } from './Screens';
import { applyLook, readLook } from './ui/look';

// The page may be one that was kept: it looks as it is wanted now.
applyLook(readLook());
// Once the first page has had the connection to itself.
window.setTimeout(() => void import('./worker/worker').then(({ begin }) => begin()).catch(() => undefined), 8_000);

const root = document.getElementById('uplandia');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <Screens />
      </QueryClientProvider>
    </StrictMode>,
  );
}
