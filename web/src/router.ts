import CircuitScreen from './circuit/CircuitScreen.svelte';
import ImportScreen from './circuit/ImportScreen.svelte';
import WalkScreen from './walk/WalkScreen.svelte';
import { createRouter } from 'sv-router';
import BookShell from './book/BookShell.svelte';
import BookScreen from './book/BookScreen.svelte';
import CompareScreen from './book/CompareScreen.svelte';
import BesideScreen from './book/BesideScreen.svelte';
import SpokenScreen from './brief/SpokenScreen.svelte';
import CarScreen from './car/CarScreen.svelte';
import PageScreen from './page/PageScreen.svelte';
import DebriefScreen from './laps/DebriefScreen.svelte';
import ReviewScreen from './laps/ReviewScreen.svelte';
import LeadScreen from './lead/LeadScreen.svelte';
import BeforeScreen from './rehearse/BeforeScreen.svelte';
import RecallScreen from './rehearse/RecallScreen.svelte';
import RunScreen from './rehearse/RunScreen.svelte';
import StopwatchScreen from './rehearse/StopwatchScreen.svelte';
import BriefScreen from './session/BriefScreen.svelte';
import PrepareScreen from './session/PrepareScreen.svelte';
import SessionScreen from './session/SessionScreen.svelte';
import SessionsScreen from './session/SessionsScreen.svelte';
import StepsScreen from './session/StepsScreen.svelte';
import FirstScreen from './shelf/FirstScreen.svelte';
import NewBook from './shelf/NewBook.svelte';
import Shelf from './shelf/Shelf.svelte';

export const { p, navigate, route } = createRouter({
  '/': FirstScreen,
  '/shelf': Shelf,
  '/new': NewBook,
  '/circuits/new': ImportScreen,
  '/circuits/:id': CircuitScreen,
  '/circuits/:id/walk': WalkScreen,
  '/books/:id': {
    '/': BookScreen,
    '/corner/:number': PageScreen,
    '/compare': CompareScreen,
    '/car': CarScreen,
    '/calls': SpokenScreen,
    '/beside/:other': BesideScreen,
    '/sessions': SessionsScreen,
    '/sessions/:session': SessionScreen,
    '/sessions/:session/prepare': PrepareScreen,
    '/sessions/:session/brief': BriefScreen,
    '/sessions/:session/debrief': DebriefScreen,
    '/sessions/:session/review': ReviewScreen,
    '/sessions/:session/lead': LeadScreen,
    '/steps': StepsScreen,
    '/rehearse': RecallScreen,
    '/rehearse/before': BeforeScreen,
    '/rehearse/run': RunScreen,
    '/rehearse/stopwatch': StopwatchScreen,
    layout: BookShell,
  },
  '*': FirstScreen,
});
