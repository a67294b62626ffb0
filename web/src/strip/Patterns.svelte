<!-- @component Hatches of brake pressure and drive; once in a drawing that shows them. -->
<script lang="ts">
  /** Side of a tile of either hatch [px]. */
  const HATCH_PX = 6;
  const DOTS_PX = 5;
</script>

<defs>
  <pattern
    id="hatch"
    width={HATCH_PX}
    height={HATCH_PX}
    patternUnits="userSpaceOnUse"
    patternTransform="rotate(45)"
  >
    <rect width={HATCH_PX} height={HATCH_PX} fill="var(--brake)" opacity="0.18" />
    <line x1="0" y1="0" x2="0" y2={HATCH_PX} stroke="var(--brake)" stroke-width="3" />
  </pattern>
  <pattern id="dots" width={DOTS_PX} height={DOTS_PX} patternUnits="userSpaceOnUse">
    <rect width={DOTS_PX} height={DOTS_PX} fill="var(--drive)" opacity="0.14" />
    <circle cx={DOTS_PX / 2} cy={DOTS_PX / 2} r="1.25" fill="var(--drive)" />
  </pattern>
</defs>
