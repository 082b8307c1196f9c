import '@fontsource-variable/sofia-sans/index.css'
import '@fontsource/sofia-sans-extra-condensed/400.css'
import '@fontsource/sofia-sans-extra-condensed/600.css'
import '@fontsource/azeret-mono/400.css'
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter } from 'react-router'
import { App } from './App'
import { ProblemError, type Schemas } from './api/client'
import { peopleKeys } from './features/people/keys'
import { BEGINS_AT, signedOutHere } from './features/people/session'
import { keepRead } from './storage/device'
import { openOutbox } from './storage/outbox'
import { chosenLanguage } from './storage/remembered'
import { ofBrowser, speak } from './texts/t'

// The page's policy lets in only styles that carry the number which the server put into this page.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
const cache = createCache({ key: 'j', nonce })

const queries: QueryClient = new QueryClient({
  // A sign-in that has ended leads back to the sign-in page, whichever question noticed it.
  queryCache: new QueryCache({
    onError: (error) => {
      if (!(error instanceof ProblemError && error.status === 401)) return
      signedOutHere(queries)
    },
  }),
  defaultOptions: {
    queries: {
      networkMode: 'always',
      retry: (count, error) => !(error instanceof ProblemError) && count < 2,
      staleTime: 5_000,
    },
    mutations: { networkMode: 'always' },
  },
})

await Promise.all([keepRead(queries), openOutbox(), speak(chosenLanguage.read() ?? ofBrowser())])
// Whoever is known here begins where their work begins: the first page is the one that is wanted.
const known = queries.getQueryData<Schemas['Session'] | null>(peopleKeys.session)
if (known && location.pathname === '/') history.replaceState(null, '', BEGINS_AT[known.role])
const root = document.getElementById('root')
if (root) {
  createRoot(root).render(
    <StrictMode>
      <CacheProvider value={cache}>
        <QueryClientProvider client={queries}>
          <BrowserRouter>
            <App />
          </BrowserRouter>
        </QueryClientProvider>
      </CacheProvider>
    </StrictMode>,
  )
}
