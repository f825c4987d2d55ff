import '@fontsource/barlow/400.css';
import '@fontsource/barlow/500.css';
import '@fontsource/barlow/600.css';
import '@fontsource/barlow-semi-condensed/400.css';
import '@fontsource/barlow-semi-condensed/500.css';
import '@fontsource/barlow-semi-condensed/600.css';
import 'bootstrap/dist/css/bootstrap.min.css';
import './theme/tokens.css';
import './theme/controls.css';
import './theme/pages.css';
import './frame/frame.css';
import './board/board.css';
import './shelf/shelf.css';
import './outline/outline.css';
import './typefaces/typefaces.css';
import './motifs/motifs.css';
import './stock/stock.css';
import './jobs/jobs.css';
import './orders/orders.css';
import './run/run.css';
import './run/fit.css';
import './cutting/cutting.css';
import './bench/bench.css';
import './again/again.css';
import './making/making.css';
import './costs/costs.css';
import './safekeeping/safekeeping.css';
import './past/past.css';
import './run/list/list.css';
import './run/set/set.css';
import './run/proof/proof.css';
import './run/piece/piece.css';
import './run/findings/marks.css';
import './run/findings/findings.css';
import './theme/print.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { SavingProvider } from './api/saving';
import { UnitsProvider } from './units/UnitsContext';

const cache = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false, staleTime: 2000 } } });
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');

createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={cache}>
      <UnitsProvider>
        <SavingProvider>
          <BrowserRouter>
            <App />
          </BrowserRouter>
        </SavingProvider>
      </UnitsProvider>
    </QueryClientProvider>
  </StrictMode>,
);
