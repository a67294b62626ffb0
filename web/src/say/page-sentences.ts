/** Generated from openapi.json: see contract.mjs. */
export const PAGE_SENTENCES = {
  'as-told': '{words}',
  'lap.crest':
    'The crest {at_m} from the start line would lift the car at more than {held_mps}: the speed is held there.',
  'lap.ends-apart':
    "The lap's speed at its end does not meet that at its start: its time is uncertain.",
  'lap.line-restless':
    'The search for the line did not come to rest: the line can be a little off its best.',
  'mark.board-untrue': 'says {says}, stands {stands_m} before the corner',
  'mark.passing': 'may be gone tomorrow: look before you trust it',
  'mark.shaded': 'in shade at this hour',
  'mark.shadow-before': 'a shadow: {moved_m} before where it was noted, and it goes on moving',
  'mark.shadow-past': 'a shadow: {moved_m} past where it was noted, and it goes on moving',
  'mark.weak': 'weak: nothing that stands here can be seen in time',
  'own.beyond-kerb':
    'The car would be beyond the road and its kerb there: the line stays as it is.',
  'own.beyond-limiter': 'Gear {gear} is beyond the limiter at this speed.',
  'own.flat': 'The model stays flat here: your point is kept, not computed.',
  'own.no-braking': 'The model does not brake here: your point is kept, not computed.',
  'own.no-kerb': 'No kerb is known here: draw it on the circuit first.',
  'own.no-such-gear': 'The car has no gear {gear}.',
  'own.not-made':
    "Not made: the car leaves the road {at_m} from the start line. Times stay the model's.",
  'own.runs-wide': 'With more than {reached_mps} the car runs wide: more is kept, not computed.',
  'own.slides':
    "Made, but asks for {asked_pct} % of the tyres' grip, {at_m} from the start line, where the page uses {used_pct} %: the car slides.",
  'own.turn-in-far':
    'A turn-in moved by more than {most_m} is another line: choose one, or move the apex. The line is moved by that much.',
} as const;
