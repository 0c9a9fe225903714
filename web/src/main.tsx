import { MutationCache, notifyManager, QueryCache, QueryClient, QueryClientProvider } from "@tanstack/react-query"
import { lazy, StrictMode } from "react"
import { createRoot } from "react-dom/client"
import { BrowserRouter, Navigate, Route, Routes } from "react-router"
import { Door } from "./house/Door"
import { InOurCurrency } from "./keep/InOurCurrency"
import { isStranger } from "./keep/client"
import { hashOnce } from "./keep/hashOnce"
import { askAgain } from "./keep/keys"
import { forgetAll } from "./keep/lately"
import { declarationsQuery, settingsQuery, wreathListQuery, wreathQuery } from "./keep/queries"
import { useNews } from "./keep/useNews"
import { Fetching } from "./pieces/Fetching"
import { KeyMap } from "./pieces/KeyMap"
import { Loaded } from "./pieces/Loaded"
import { OnlyMakers } from "./pieces/ForMakers"
import { NewVersion } from "./pieces/NewVersion"
import { showTheme } from "./pieces/theme"
import "./styles.css"
import { WreathsScreen } from "./wreaths/WreathsScreen"

// The list comes with the first of what is loaded, every other screen when it is gone to.
const RoomScreen = lazy(async () => ({ default: (await import("./room/RoomScreen")).RoomScreen }))
const BenchScreen = lazy(async () => ({ default: (await import("./bench/BenchScreen")).BenchScreen }))
const NewWreathScreen = lazy(async () => ({ default: (await import("./new/NewWreathScreen")).NewWreathScreen }))
const NotebookScreen = lazy(async () => ({ default: (await import("./notebook/NotebookScreen")).NotebookScreen }))
const OccasionScreen = lazy(async () => ({ default: (await import("./occasions/OccasionScreen")).OccasionScreen }))
const OccasionsScreen = lazy(async () => ({ default: (await import("./occasions/OccasionsScreen")).OccasionsScreen }))
const SettingsScreen = lazy(async () => ({ default: (await import("./settings/SettingsScreen")).SettingsScreen }))
const StashScreen = lazy(async () => ({ default: (await import("./stash/StashScreen")).StashScreen }))
const WordsScreen = lazy(async () => ({ default: (await import("./words/WordsScreen")).WordsScreen }))
const WreathScreen = lazy(async () => ({ default: (await import("./wreath/WreathScreen")).WreathScreen }))

const queries: QueryClient = new QueryClient({
  // Whether there is a network says nothing about whether the server, perhaps in this room, answers.
  defaultOptions: {
    queries: { queryKeyHashFn: hashOnce, retry: 1, refetchOnWindowFocus: true, networkMode: "always" },
    mutations: { networkMode: "always" },
  },
  // Whoever was shut out is asked to sign in again, and finds everything where it was.
  queryCache: new QueryCache({ onError: (error) => shutOut(error) }),
  mutationCache: new MutationCache({ onError: (error) => shutOut(error) }),
})

function News() {
  useNews()
  return null
}

function shutOut(error: unknown) {
  if (!isStranger(error)) return
  void forgetAll().catch(() => undefined)
  void askAgain(queries, ["account"])
}

// An answer is shown as soon as it is there, not in a task after the next.
notifyManager.setScheduler(queueMicrotask)

showTheme()
// What the first screen shows is asked for before it is drawn.
void queries.prefetchQuery(settingsQuery)
if (location.pathname === "/") void queries.prefetchQuery(wreathListQuery)
const opened = /^\/wreaths\/(\d+)\/(?!bench)/.exec(location.pathname)?.[1]
if (opened) {
  void import("./wreath/WreathScreen")
  void queries.prefetchQuery(declarationsQuery)
  void queries.prefetchQuery(wreathQuery(Number(opened)))
}

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <KeyMap />
        <NewVersion />
        <Door>
          <News />
          <InOurCurrency>
            <Loaded fallback={<Fetching what="Screen" />}>
              <Routes>
                <Route path="/" element={<WreathsScreen />} />
                <Route path="/wreaths/:id" element={<Navigate to="cover" replace />} />
                <Route path="/wreaths/:id/bench" element={<BenchScreen />} />
                <Route path="/wreaths/:id/room" element={<RoomScreen />} />
                <Route path="/notebook" element={<NotebookScreen />} />
                <Route path="/wreaths/:id/:stage" element={<WreathScreen />} />
                <Route path="/occasions" element={<OccasionsScreen />} />
                <Route path="/occasions/:id" element={<OccasionScreen />} />
                <Route
                  path="/new"
                  element={
                    <OnlyMakers>
                      <NewWreathScreen />
                    </OnlyMakers>
                  }
                />
                <Route path="/settings" element={<SettingsScreen />} />
                <Route path="/stash" element={<StashScreen />} />
                <Route path="/words" element={<WordsScreen />} />
                <Route path="*" element={<Navigate to="/" replace />} />
              </Routes>
            </Loaded>
          </InOurCurrency>
        </Door>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
)
