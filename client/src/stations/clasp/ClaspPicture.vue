<script setup lang="ts">
import type { ClaspKind } from '../../api/clasp'

defineProps<{ kind: ClaspKind }>()
</script>

<template>
  <svg viewBox="0 0 160 90" class="picture" aria-hidden="true">
    <!-- From above: a frame, its bar, and the tongue that goes through the strap. -->
    <g v-if="kind === 'pinBuckle'">
      <path d="M6 28 H78 V62 H6 Z" class="soft" />
      <path d="M70 18 H112 q12 0 12 12 V60 q0 12 -12 12 H70" class="metal" />
      <path d="M76 45 H122" class="tongue" />
      <path d="M76 20 V70" class="bar" />
    </g>
    <!-- From the side: it looks like a buckle, and a blade folds in under it. -->
    <g v-else-if="kind === 'strapFolding'">
      <path d="M4 30 H60 q10 0 16 8 L84 46" class="soft-line" />
      <path d="M156 30 H112" class="soft-line" />
      <path d="M104 22 h14 v16 h-14 z" class="metal" />
      <path d="M84 46 Q98 66 122 60" class="blade" />
      <circle cx="84" cy="46" r="4" class="dot" />
      <circle cx="122" cy="60" r="3" class="dot" />
      <path d="M122 60 L118 38" class="blade" />
    </g>
    <!-- From above, closed: nothing shows but a button at each edge. -->
    <g v-else-if="kind === 'butterfly'">
      <path d="M6 24 H154 V66 H6 Z" class="metal" />
      <path v-for="x in [28, 50, 110, 132]" :key="x" :d="`M${x} 24 V66`" class="fine" />
      <path d="M80 24 V66" class="seam" />
      <path d="M70 16 h20 v8 h-20 z M70 66 h20 v8 h-20 z" class="dark" />
    </g>
    <!-- From the side, open: a cover, a blade, and a row of holes in the cover's side. -->
    <g v-else-if="kind === 'foldOver'">
      <path d="M4 34 H34" class="soft-line" />
      <path d="M34 30 H104 q8 0 8 8 v6 H34 Z" class="metal" />
      <circle v-for="x in [42, 49, 56, 63, 70]" :key="x" :cx="x" cy="38" r="2" class="dot" />
      <path d="M108 44 Q86 68 128 62" class="blade" />
      <circle cx="108" cy="44" r="3.4" class="dot" />
      <path d="M128 62 L156 46" class="soft-line" />
    </g>
    <!-- The same with a second fold. -->
    <g v-else-if="kind === 'extending'">
      <path d="M4 34 H30" class="soft-line" />
      <path d="M30 30 H92 q8 0 8 8 v6 H30 Z" class="metal" />
      <circle v-for="x in [38, 45, 52]" :key="x" :cx="x" cy="38" r="2" class="dot" />
      <path d="M96 44 Q78 68 112 62" class="blade" />
      <path d="M112 62 L124 46 L138 62" class="blade" />
      <circle cx="96" cy="44" r="3.4" class="dot" />
      <circle cx="112" cy="62" r="3" class="dot" />
      <circle cx="124" cy="46" r="3" class="dot" />
      <path d="M138 62 L158 48" class="soft-line" />
    </g>
    <!-- From the side: mesh runs through, and a flap under the lifted cover bites it. -->
    <g v-else>
      <path d="M4 58 H156" class="mesh" />
      <path d="M52 50 h52 v16 h-52 z" class="metal" />
      <path d="M56 50 L92 40" class="blade" />
      <path d="M52 48 Q40 20 84 14 L118 20" class="blade" />
      <circle cx="54" cy="50" r="3.4" class="dot" />
    </g>
  </svg>
</template>

<style scoped>
.picture {
  width: 100%;
  max-width: 260px;
}
path,
circle {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.6;
  stroke-linejoin: round;
  stroke-linecap: round;
  fill: none;
}
.soft {
  fill: rgb(var(--v-theme-skin));
}
.metal {
  fill: rgb(var(--v-theme-steel), 0.6);
}
.soft-line {
  stroke-width: 7;
  stroke: rgb(var(--v-theme-iron));
  stroke-linecap: butt;
}
.mesh {
  stroke-width: 5;
  stroke-dasharray: 2 2;
  stroke-linecap: butt;
  stroke: rgb(var(--v-theme-iron));
}
.blade {
  stroke-width: 4;
}
.tongue {
  stroke-width: 3.4;
  stroke: rgb(var(--v-theme-primary));
}
.bar,
.seam {
  stroke-width: 2.6;
}
.fine {
  stroke-width: 0.7;
}
.dot {
  fill: rgb(var(--v-theme-background));
}
.dark {
  fill: rgb(var(--v-theme-primary));
}
</style>
