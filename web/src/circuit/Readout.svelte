<script lang="ts">
  import { valueAt } from '../strip/lap-axis';
  import { preferences } from '../units/preferences.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import { near } from './edits';

  const circuit = useCircuit();
  const road = $derived(circuit.road!);
  const at = $derived(circuit.cursor);
  const read = (column: number[]) => valueAt(road, column, at);
  const kappa = $derived(read(road.curvature_perM));
  const grade = $derived(read(road.grade_pct));
  const banking = $derived(read(road.banking_deg));
  const left = $derived(read(road.left_m));
  const right = $derived(read(road.right_m));
  const corner = $derived(circuit.cornerAt(at));
  const around = $derived(near(road, circuit.edits!, at, 60).slice(0, circuit.thing ? 3 : 7));
  const bend = $derived(
    Math.abs(kappa) < 1 / 900
      ? 'straight'
      : `${kappa > 0 ? 'left' : 'right'}, radius ${preferences.lengthText(1 / Math.abs(kappa))}`,
  );
</script>

<section aria-label="The metre that is looked at" data-readout>
  <h2 class="text-2xl font-bold">
    {preferences.lengthText(at)}
    <span class="text-neutral text-lg font-normal">{corner ? `corner ${corner}` : 'no corner'}</span
    >
  </h2>
  <dl class="figures grid grid-cols-[auto_1fr] gap-x-3 text-[1.02rem] leading-snug">
    <dt class="text-neutral">bend</dt>
    <dd>{bend}</dd>
    <dt class="text-neutral">grade</dt>
    <dd>
      {Math.abs(grade).toFixed(1)} % {Math.abs(grade) < 0.05 ? '' : grade > 0 ? 'up' : 'down'}, at {preferences.acrossText(
        read(road.z_m),
      )}
    </dd>
    <dt class="text-neutral">banking</dt>
    <dd>
      {Math.abs(banking).toFixed(1)}°{Math.abs(banking) < 0.05
        ? ''
        : banking > 0
          ? ', right edge higher'
          : ', left edge higher'}
    </dd>
    <dt class="text-neutral">width</dt>
    <dd>
      {preferences.acrossText(left + right)}: {preferences.acrossText(left)} left, {preferences.acrossText(
        right,
      )} right
    </dd>
  </dl>
  <h3 class="text-neutral pt-1 font-semibold">near</h3>
  <ul class="figures leading-snug">
    {#each around as thing (thing.at.kind + thing.at.index)}
      <li>
        <button class="link min-h-11 text-left" onclick={() => circuit.pick(thing.at)}
          >{thing.name}</button
        >
        <span class="text-neutral"
          >{Math.abs(thing.metres) < 1
            ? 'here'
            : `${preferences.lengthText(Math.abs(thing.metres))} ${thing.metres > 0 ? 'ahead' : 'behind'}`}</span
        >
      </li>
    {:else}<li class="text-neutral">
        nothing within {preferences.lengthText(60)}: add what is seen
      </li>{/each}
  </ul>
</section>
