import { Navigate, Route, Routes } from 'react-router';
import { AgainPage } from './again/AgainPage';
import { CardsPage } from './bench/CardsPage';
import { QuotationPage } from './costs/QuotationPage';
import { CuttingPage } from './cutting/CuttingPage';
import { ReleasedPage } from './cutting/ReleasedPage';
import { useStanding } from './api/standing';
import { Header } from './frame/Header';
import { DayPage } from './jobs/DayPage';
import { JobsPage } from './jobs/JobsPage';
import { JobPage } from './jobs/JobPage';
import { PutAwayPage } from './jobs/PutAwayPage';
import { MotifPage } from './motifs/MotifPage';
import { MotifsPage } from './motifs/MotifsPage';
import { TrialPage } from './motifs/TrialPage';
import { OfferPage } from './offers/OfferPage';
import { OffersPage } from './offers/OffersPage';
import { OrderPage } from './orders/OrderPage';
import { OrdersPage } from './orders/OrdersPage';
import { OutlinePage } from './outline/OutlinePage';
import { PastPage } from './past/PastPage';
import { RunPage } from './run/RunPage';
import { ArchivePage } from './safekeeping/ArchivePage';
import { HeldPage } from './safekeeping/HeldPage';
import { SafekeepingPage } from './safekeeping/SafekeepingPage';
import { BlankPage } from './shelf/BlankPage';
import { ShelfPage } from './shelf/ShelfPage';
import { CutterPage } from './stock/CutterPage';
import { ScanOffCutPage } from './stock/ScanOffCutPage';
import { StockPage } from './stock/StockPage';

export function App() {
  const { held, broughtBack } = useStanding();
  if (held)
    return (
      <>
        <Header />
        <main>
          <HeldPage />
        </main>
      </>
    );
  return (
    <>
      <Header />
      <main>
        {broughtBack && (
          <div className="conflict brought-back" role="alert">
            The library was brought back to an earlier state since this page was opened. What is typed here is not kept.
            <button type="button" className="btn btn-sm btn-line" onClick={() => window.location.reload()}>
              Load the page again
            </button>
          </div>
        )}
        <Routes>
          <Route path="/" element={<Navigate to="/jobs" replace />} />
          <Route path="/jobs" element={<JobsPage />} />
          <Route path="/jobs/day" element={<DayPage />} />
          <Route path="/jobs/orders" element={<OrdersPage />} />
          <Route path="/jobs/orders/:id" element={<OrderPage />} />
          <Route path="/jobs/offers" element={<OffersPage />} />
          <Route path="/jobs/offers/:id" element={<OfferPage />} />
          <Route path="/jobs/put-away" element={<PutAwayPage />} />
          <Route path="/jobs/:id/again" element={<AgainPage />} />
          <Route path="/jobs/:id/cards" element={<CardsPage />} />
          <Route path="/jobs/:id/quotation" element={<QuotationPage />} />
          <Route path="/jobs/:id" element={<JobPage />} />
          <Route path="/runs/:id/:view" element={<RunPage />} />
          <Route path="/shelf" element={<ShelfPage />} />
          <Route path="/shelf/:id" element={<BlankPage />} />
          <Route path="/shelf/:id/outline" element={<OutlinePage />} />
          <Route path="/motifs" element={<MotifsPage />} />
          <Route path="/motifs/:id" element={<MotifPage />} />
          <Route path="/motifs/:id/try/:partId" element={<TrialPage />} />
          <Route path="/stock" element={<StockPage />} />
          <Route path="/stock/cutters/:id" element={<CutterPage />} />
          <Route path="/stock/:filmId/scan" element={<ScanOffCutPage />} />
          <Route path="/cutting" element={<CuttingPage />} />
          <Route path="/cutting/:filmId" element={<CuttingPage />} />
          <Route path="/cutting/loads/:id" element={<ReleasedPage />} />
          <Route path="/safekeeping" element={<SafekeepingPage />} />
          <Route path="/safekeeping/archives/:id" element={<ArchivePage />} />
          <Route path="/past/:kind/:id" element={<PastPage />} />
          <Route
            path="*"
            element={
              <div className="page">
                <h1>Nothing here</h1>
                <p>
                  This address leads nowhere. <a href="/jobs">To the jobs</a>
                </p>
              </div>
            }
          />
        </Routes>
      </main>
    </>
  );
}
