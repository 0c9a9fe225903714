import { QueryClient, QueryClientProvider } from "@tanstack/react-query"
import { StrictMode } from "react"
import { createRoot } from "react-dom/client"
import { BrowserRouter, Navigate, Route, Routes } from "react-router"
import { BenchScreen } from "./bench/BenchScreen"
import { NewWreathScreen } from "./new/NewWreathScreen"
import { InOurCurrency } from "./keep/InOurCurrency"
import { SettingsScreen } from "./settings/SettingsScreen"
import { NotebookScreen } from "./notebook/NotebookScreen"
import { OccasionScreen } from "./occasions/OccasionScreen"
import { OccasionsScreen } from "./occasions/OccasionsScreen"
import { StashScreen } from "./stash/StashScreen"
import { KeyMap } from "./pieces/KeyMap"
import { showTheme } from "./pieces/theme"
import "./styles.css"
import { WreathScreen } from "./wreath/WreathScreen"
import { WreathsScreen } from "./wreaths/WreathsScreen"

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: true } } })

showTheme()

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <KeyMap />
        <InOurCurrency>
          <Routes>
            <Route path="/" element={<WreathsScreen />} />
            <Route path="/wreaths/:id" element={<Navigate to="cover" replace />} />
            <Route path="/wreaths/:id/bench" element={<BenchScreen />} />
            <Route path="/notebook" element={<NotebookScreen />} />
            <Route path="/wreaths/:id/:stage" element={<WreathScreen />} />
            <Route path="/occasions" element={<OccasionsScreen />} />
            <Route path="/occasions/:id" element={<OccasionScreen />} />
            <Route path="/new" element={<NewWreathScreen />} />
            <Route path="/settings" element={<SettingsScreen />} />
            <Route path="/stash" element={<StashScreen />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </InOurCurrency>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
)
