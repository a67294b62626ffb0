/** Generated from openapi.json: see contract.mjs. */
export const SENTENCES = {
  'as-told': '{words}',
  'circuit.closed-assumed': 'The file does not say whether the circuit is closed: taken as closed.',
  'circuit.column-missing': 'No column {column}: taken as 0 all round.',
  'circuit.column-unknown': 'Column {column} is not known and was left out.',
  'circuit.crosses':
    'The line crosses itself, at {first_m} and again at {second_m}: a bridge, or a wrong turn?',
  'circuit.feature-turned': 'Feature {pointer} is drawn against the direction of travel: turned.',
  'circuit.feature-unknown': 'Feature {pointer} of kind "{kind}" is not known: left out.',
  'circuit.gap': 'The two ends of the lap lie {gap_m:1} apart and were brought together.',
  'circuit.gaps': 'Points lie up to {widest_m} apart: between them the road is guessed.',
  'circuit.grades':
    'Smoothed over {over_m} they give {up:1} % up and {down:1} % down at the steepest: if that is not the place you know, take the road as level.',
  'circuit.heights-jump': 'The recorded heights jump by {noise_m:1} from point to point.',
  'circuit.heights-jump-and-wander':
    'The recorded heights jump by {noise_m:1} from point to point and are {gap_m:1} off after one lap, which was spread over it.',
  'circuit.last-repeats': 'The last point repeats the first one and was left out.',
  'circuit.length':
    'The road is {length_m} long, {off:1} % {than|word} than the {expected_m} expected.',
  'circuit.level': 'The road is taken as level.',
  'circuit.limits-assumed': 'No track-limits rule is given: taken as one wheel inside the line.',
  'circuit.member-missing': 'The centreline has no {member}: taken as {taken} all round.',
  'circuit.no-heights': 'No heights, or not at every point: the road is taken as level.',
  'circuit.no-zone': 'No time zone is given: taken as {zone}, by the place.',
  'circuit.open':
    'The recording does not come back to its start: taken as an open road. For a circuit, record a little more than a lap.',
  'circuit.place-and-zone':
    'The place, latitude {lat:3}° and longitude {lon:3}°, does not fit the time zone {zone}: are latitude and longitude swapped? Positions are [longitude, latitude].',
  'circuit.rounds': 'The recording goes round {rounds:1} times: lap {lap} of {whole} is used.',
  'circuit.rounds-median':
    'The recording goes round {rounds:1} times: the median of its {whole} whole laps is used.',
  'circuit.segments': 'The track has {segments} segments: strung together in order.',
  'circuit.smoothed':
    'Smoothing moved the surveyed points by up to {moved_m:2} (at {at_m}); their noise is estimated as {noise_m:2}.',
  'circuit.spacing':
    'Points lie {least_m:2} to {most_m:1} apart; between 0.5 m and 25 m is expected.',
  'circuit.waypoint-far': 'Waypoint "{name}" (line {line}) is not near: left out.',
  'circuit.widths-assumed':
    'Widths are not recorded: {width_m} to each side are assumed all round. Say what they are, and measure them better on the walk.',
  'circuit.zone-by-place': 'The time zone is taken as {zone}, by the place.',
  'lap.crest':
    'The crest {at_m} from the start line would lift the car at more than {held_mps}: the speed is held there.',
  'lap.ends-apart':
    "The lap's speed at its end does not meet that at its start: its time is uncertain.",
  'lap.line-restless':
    'The search for the line did not come to rest: the line can be a little off its best.',
  'layout.called': 'called "{now}" instead of "{before}"',
  'layout.corner-gone': 'corner {corner} is not a corner of its own any more',
  'layout.corner-limits': 'track limits of corner {corner}: {limits|word}',
  'layout.corner-new': 'corner {corner} is new',
  'layout.corner-now': 'corner {corner} is now {now}',
  'layout.hazard-gone': '{hazard|word}, {side|word} at {at_m}, is gone',
  'layout.hazard-moved': '{hazard|word}, {side|word} at {at_m}, is not where it was',
  'layout.hazard-new': 'new: {hazard|word}, {side|word} at {at_m}',
  'layout.kerb-gone': 'the {side|word} kerb at {at_m} is gone',
  'layout.kerb-new': 'a new {profile|word} kerb, {side|word} at {at_m}',
  'layout.kerb-now':
    'the {side|word} kerb at {at_m} is now {profile|word}, {height} mm, use {use|word}',
  'layout.layout': 'layout "{now}" instead of "{before}"',
  'layout.limits': 'track limits all round: {limits|word}',
  'layout.line': 'the road runs differently from {from_m} to {to_m}',
  'layout.mark-described': '{label} at {at_m} is described differently',
  'layout.mark-gone': '{label} at {at_m} is gone',
  'layout.mark-moved': '{label} moved by {moved_m}, now at {at_m}',
  'layout.mark-new': '{label} at {at_m} is new',
  'layout.mark-sides': '{label} changed sides',
  'layout.stretch-gone': 'the notice on the {side} at {at_m} holds no more',
  'layout.stretch-new': 'a notice of track limits on the {side} from {at_m} on',
  'layout.time-zone': 'time zone "{now}" instead of "{before}"',
  'layout.width': "the road's width was measured anew from {from_m} to {to_m}",
  'layout.zone-changed': 'the {zone|word} at {at_m} changed',
  'layout.zone-gone': 'the {zone|word} at {at_m} is gone',
  'layout.zone-new': 'new on the surface: {zone|word} at {at_m}',
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
  'refused.back-elsewhere':
    'asks to be back before {at_m}, which does not lie on its stretch: move one of them',
  'refused.beyond-lap': '({at_m}) lies beyond the lap of {lap_m}',
  'refused.change-outside':
    "({at_m}) lies outside of this corner, from {first_m} to the next one's first point at {next_m}",
  'refused.double-apex': '(double-apex) needs a corner of at least {angle}° and {length_m}',
  'refused.ends-before':
    '({at_m}) ends it before it begins: give the station where it ends in the direction of travel',
  'refused.far-from-corner':
    '({at_m}) lies {away_m} from its corner: is it meant for another corner?',
  'refused.gate-off-road':
    '({offset_m} from the middle) lies off the road, whose white line is {width_m} from it there: move the gate',
  'refused.knot-order': '({at_m}) does not lie behind the knot before it, at {before_m}',
  'refused.lift-stays': '({to_pct} %) never comes back: say where it opens again',
  'refused.line-against':
    'runs against the direction of travel: record it the way the lap is driven',
  'refused.line-elsewhere':
    'lies off this road; perhaps it is of another circuit or another layout',
  'refused.line-gap':
    'has no position on this road from {from_m} to {to_m}: record a whole lap, outside of the pit lane',
  'refused.line-of-another-road':
    '({given} of them) are of another road: this one of {road_m} has {wanted}',
  'refused.over-revs':
    'would turn the engine at {rpm} rpm in gear {gear}, over its limiter of {limiter}: change down later',
  'refused.throttle-on-brake':
    '({at_m}) is before the brake is off at {off_m}: one foot cannot do both',
  'refused.wider-than-road':
    "({car_m:2}) is more than the road's {road_m:2}, {at_m} from the start line: check the widths there, or the car's",
  'walk.board': '{label} stands {stands_m} before corner {corner}: read it again',
  'walk.kerb-height': 'a kerb without a height: measure it, and say what of it to use',
  'walk.no-kerb': 'corner {corner}: no kerb is known here: is there none?',
  'walk.no-mark':
    'corner {corner}: no mark for the {point|word} point: what is seen from the seat here?',
  'walk.no-mark-before': 'corner {corner}: no mark on its approach yet',
  'walk.passing-mark':
    'corner {corner}: the {point|word} hangs on {label}, which may not stay: is it still there?',
  'walk.shadow': '{label}: note the hour and the height of what casts it, or it is of no use',
  'word.brake': 'brake',
  'word.bump': 'bump',
  'word.crest': 'crest',
  'word.crowned': 'crowned',
  'word.damp-shade': 'damp shade',
  'word.dip': 'dip',
  'word.drain': 'drain',
  'word.dust': 'dust',
  'word.flat': 'flat',
  'word.free': 'free',
  'word.full': 'full',
  'word.grass': 'grass',
  'word.gravel': 'gravel',
  'word.half-car': 'half car',
  'word.kerb-counts-as-track': 'kerb counts as track',
  'word.left': 'left',
  'word.let-by': 'place to let by',
  'word.longer': 'longer',
  'word.no-run-off': 'no run off',
  'word.none': 'none',
  'word.of-the-layout': 'those of the layout',
  'word.off-camber': 'off camber',
  'word.one-wheel-inside-line': 'one wheel inside line',
  'word.over': 'over',
  'word.patch': 'patch',
  'word.pole': 'pole',
  'word.ramp': 'ramp',
  'word.regroup': 'place to regroup',
  'word.right': 'right',
  'word.road': 'road',
  'word.sausage': 'sausage',
  'word.serrated': 'serrated',
  'word.shorter': 'shorter',
  'word.slippery-paint': 'slippery paint',
  'word.touch': 'touch',
  'word.turn-in': 'turn-in',
  'word.two-wheels-inside-line': 'two wheels inside line',
  'word.tyre': 'tyre',
  'word.tyre-wall': 'tyre wall',
  'word.wall': 'wall',
} as const;
