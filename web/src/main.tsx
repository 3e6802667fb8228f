import '@fontsource-variable/bricolage-grotesque/index.css';
import '@fontsource-variable/figtree/index.css';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { ApiFault } from './api/client';
import { takeName } from './api/tab';
import { keepThePage } from './features/shell/keeping';
import { router } from './features/shell/router';
import { applyMode, followSystem } from './theme/mode';
import { system } from './theme/system';

applyMode();
followSystem();

const queries = new QueryClient({
  defaultOptions: {
    // The kitchen stands on this machine: whether the world outside can be reached says nothing of it.
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      refetchOnWindowFocus: true,
      retry: (count, fault) =>
        count < 2 && !(fault instanceof ApiFault && fault.status >= 400 && fault.status < 500),
    },
  },
});

keepThePage();
// A part of the page that a newer build no longer has: the newer page has its own.
window.addEventListener('vite:preloadError', () => globalThis.location.reload());

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
// What is open beside this page decides which drafts are its own.
void takeName().finally(() =>
  createRoot(root).render(
    <StrictMode>
      <ChakraProvider value={system}>
        <QueryClientProvider client={queries}>
          <RouterProvider router={router} />
        </QueryClientProvider>
      </ChakraProvider>
    </StrictMode>,
  ),
);
