import { createRouter } from 'sv-router';

/** Each screen is fetched when it is opened first, so that the first one need not wait for the others. */
export const { p, navigate, route } = createRouter({
  '/': () => import('./shelf/FirstScreen.svelte'),
  '/shelf': () => import('./shelf/Shelf.svelte'),
  '/new': () => import('./shelf/NewBook.svelte'),
  '/cars/new': () => import('./car/MakeCarScreen.svelte'),
  '/circuits/new': () => import('./circuit/ImportScreen.svelte'),
  '/circuits/:id': () => import('./circuit/CircuitScreen.svelte'),
  '/circuits/:id/walk': () => import('./walk/WalkScreen.svelte'),
  '/books/:id': {
    '/': () => import('./book/BookScreen.svelte'),
    '/corner/:number': () => import('./page/PageScreen.svelte'),
    '/compare': () => import('./book/CompareScreen.svelte'),
    '/car': () => import('./car/CarScreen.svelte'),
    '/calls': () => import('./brief/SpokenScreen.svelte'),
    '/beside/:other': () => import('./book/BesideScreen.svelte'),
    '/sessions': () => import('./session/SessionsScreen.svelte'),
    '/sessions/:session': () => import('./session/SessionScreen.svelte'),
    '/sessions/:session/prepare': () => import('./session/PrepareScreen.svelte'),
    '/sessions/:session/brief': () => import('./session/BriefScreen.svelte'),
    '/sessions/:session/debrief': () => import('./laps/DebriefScreen.svelte'),
    '/sessions/:session/review': () => import('./laps/ReviewScreen.svelte'),
    '/sessions/:session/lead': () => import('./lead/LeadScreen.svelte'),
    '/steps': () => import('./session/StepsScreen.svelte'),
    '/rehearse': () => import('./rehearse/RecallScreen.svelte'),
    '/rehearse/before': () => import('./rehearse/BeforeScreen.svelte'),
    '/rehearse/run': () => import('./rehearse/RunScreen.svelte'),
    '/rehearse/stopwatch': () => import('./rehearse/StopwatchScreen.svelte'),
    layout: () => import('./book/BookShell.svelte'),
  },
  '*': () => import('./shelf/UnknownScreen.svelte'),
});
