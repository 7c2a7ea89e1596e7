import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { queries } from './api/queries';
import { Screens } from './Screens';

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
