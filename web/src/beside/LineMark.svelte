<!-- @component A piece of line as a lap is drawn with: drawn out, or dashed for the other one. -->
<script lang="ts">
  interface Props {
    dashed?: boolean;
    /** Whether it stands for a lap that is chosen. */
    on?: boolean;
  }
  const { dashed = false, on = true }: Props = $props();
</script>

<span class={{ dashed, on }}></span>

<style>
  span {
    display: inline-block;
    width: 22px;
    border-top: 4px solid var(--color-neutral);
    vertical-align: middle;
  }
  span.on {
    border-color: var(--ink);
  }
  span.dashed {
    border-top-style: dashed;
  }
  span.dashed.on {
    border-color: var(--color-info);
  }
</style>
