import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider } from 'antd';
import { Suspense, useMemo, useState } from 'react';
import { createBrowserRouter, Navigate, Route, RouterProvider, Routes } from 'react-router';
import { Problem } from './api/client';
import { Begin } from './begin/Begin';
import { Frame } from './frame/Frame';
import { LeaveGuard } from './frame/LeaveGuard';
import { MishapsSaid } from './frame/Mishap';
import { page } from './frame/page';
import { Gate } from './signin/Gate';
import { antTheme, applyLight, LightContext, storedLight, type Light } from './theme/light';

const AheadPage = page(() => import('./ahead/AheadPage'));
// One lands on it: it is fetched while one signs in.
if (/^\/(ahead)?$/.test(location.pathname)) void AheadPage.fetch().catch(() => undefined);
const SeasonsPage = page(() => import('./ahead/SeasonsPage'));
const MonthPage = page(() => import('./ahead/MonthPage'));
const PlanPage = page(() => import('./ahead/PlanPage'));
const WaterPage = page(() => import('./water/WaterPage'));
const SpotEditor = page(() => import('./spot/SpotEditor'));
const TiePage = page(() => import('./tie/TiePage'));
const BenchPage = page(() => import('./bench/BenchPage'));
const CardsPage = page(() => import('./cards/CardsPage'));
const FishPage = page(() => import('./fish/FishPage'));
const HandPage = page(() => import('./law/HandPage'));
const BackPage = page(() => import('./back/BackPage'));
const EvidencePage = page(() => import('./back/EvidencePage'));
const ComparePage = page(() => import('./back/ComparePage'));
const FilesPage = page(() => import('./back/FilesPage'));
const MeasuresPage = page(() => import('./back/MeasuresPage'));
const TrialsPage = page(() => import('./trial/TrialsPage'));
const TrialPage = page(() => import('./trial/TrialPage'));
const FirstWater = page(() => import('./begin/FirstWater'));
const SetupPage = page(() => import('./setup/SetupPage'));

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      refetchOnWindowFocus: false,
      staleTime: 60_000,
      retry: (n, e) => n < 2 && (!(e instanceof Problem) || e.status === 0 || e.status >= 500),
    },
    mutations: { networkMode: 'always' },
  },
});

/** Everything behind the gate, each page with its address. */
function Pages() {
  return (
    <MishapsSaid>
      <LeaveGuard>
        <Gate begin={<Begin />}>
          <Suspense>
            <Routes>
              <Route element={<Frame />}>
                <Route path="/ahead" element={<AheadPage />} />
                <Route path="/ahead/seasons" element={<SeasonsPage />} />
                <Route path="/ahead/month/:id" element={<MonthPage />} />
                <Route path="/ahead/plans/:id" element={<PlanPage />} />
                <Route path="/water" element={<WaterPage />} />
                <Route path="/water/edit" element={<SpotEditor />} />
                <Route path="/water/edit/:id" element={<SpotEditor />} />
                <Route path="/tie-on" element={<TiePage />} />
                <Route path="/tie-on/bench" element={<BenchPage />} />
                <Route path="/tie-on/bench/:id" element={<BenchPage />} />
                <Route path="/tie-on/cards" element={<CardsPage />} />
                <Route path="/tie-on/cards/:id" element={<CardsPage />} />
                <Route path="/begin" element={<FirstWater />} />
                <Route path="/fish" element={<FishPage />} />
                <Route path="/fish/hand/*" element={<HandPage />} />
                <Route path="/back" element={<BackPage />} />
                <Route path="/back/evidence" element={<EvidencePage />} />
                <Route path="/back/compare" element={<ComparePage />} />
                <Route path="/back/files" element={<FilesPage />} />
                <Route path="/back/measures" element={<MeasuresPage />} />
                <Route path="/back/trials" element={<TrialsPage />} />
                <Route path="/back/trials/:id" element={<TrialPage />} />
                <Route path="/set-up/*" element={<SetupPage />} />
                <Route path="*" element={<Navigate to="/ahead" replace />} />
              </Route>
            </Routes>
          </Suspense>
        </Gate>
      </LeaveGuard>
    </MishapsSaid>
  );
}

const router = createBrowserRouter([{ path: '*', Component: Pages }]);

export function App() {
  const [light, setLight] = useState<Light>(storedLight);
  const theme = useMemo(() => antTheme(light), [light]);
  const choose = (l: Light) => {
    applyLight(l);
    setLight(l);
  };
  return (
    <LightContext value={{ light, setLight: choose }}>
      <ConfigProvider theme={theme}>
        <AntApp style={{ height: '100%' }}>
          <QueryClientProvider client={queries}>
            <RouterProvider router={router} />
          </QueryClientProvider>
        </AntApp>
      </ConfigProvider>
    </LightContext>
  );
}
