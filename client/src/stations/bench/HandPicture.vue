<script setup lang="ts">
import type { BenchStep } from '../../api/bench'

/** Which way round, and where the tool goes in: seen from the side, the tool in strong lines, its way as an arrow. */
defineProps<{ picture: NonNullable<BenchStep['picture']>; leftHanded: boolean }>()
const says: Record<NonNullable<BenchStep['picture']>, string> = {
  outInTheBlock:
    'The link in the block, its arrow down; the punch from above drives the pin into the groove below.',
  inAgainstTheArrow: 'The link in the block, its arrow up; the pin goes in from above.',
  inAlongTheArrow: 'The link in the block, its arrow down; the pin goes in from above.',
  forkFromBehind:
    'Seen from behind: the fork between band and lug, on the flange of the bar, drawn to the middle.',
  pointFromOutside: 'The point goes into the hole of the lug from outside and presses the tip inward.',
  lever: 'The lever under the band is drawn toward the middle.',
  bladeInTheSlot: 'The blade upright, filling the slot in length and width.',
}
</script>

<template>
  <svg viewBox="0 0 220 96" role="img" :aria-label="says[picture]" :class="{ mirrored: leftHanded }">
    <g v-if="['outInTheBlock', 'inAgainstTheArrow', 'inAlongTheArrow'].includes(picture)">
      <path d="M40 66 H100 V90 H40 Z M120 66 H180 V90 H120 Z M100 78 H120 V90 H100 Z" class="block" />
      <path d="M70 38 H150 V66 H70 Z" class="link" />
      <path v-if="picture === 'inAgainstTheArrow'" d="M88 60 V44 M83 49 L88 43 L93 49" class="line" />
      <path v-else d="M88 43 V59 M83 54 L88 60 L93 54" class="line" />
      <g v-if="picture === 'outInTheBlock'">
        <path d="M110 44 V74" class="pin" />
        <path d="M106 4 H114 L112 42 H108 Z" class="tool" />
      </g>
      <g v-else>
        <path d="M110 8 V40" class="pin" />
        <path d="M110 44 V62" class="hole" />
      </g>
      <path d="M134 8 V30 M129 25 L134 31 L139 25" class="way" />
    </g>
    <g v-else-if="picture === 'forkFromBehind'">
      <path d="M40 4 H60 V92 H40 Z M160 4 H180 V92 H160 Z" class="lug" />
      <path d="M66 40 H154 V92 H66 Z" class="link" />
      <path d="M56 30 H164 M68 24 V36 M152 24 V36" class="pin" />
      <path d="M63 2 V22 M73 2 V22 M63 22 l-2 8 M73 22 l2 8 M63 2 H73" class="tool" />
      <path d="M82 14 H106 M101 9 L107 14 L101 19" class="way" />
    </g>
    <g v-else-if="picture === 'pointFromOutside'">
      <path d="M60 4 H84 V92 H60 Z M160 4 H184 V92 H160 Z" class="lug" />
      <path d="M90 60 H154 V92 H90 Z" class="link" />
      <path d="M92 48 H170" class="pin" />
      <path d="M60 44 H84 M60 52 H84" class="hole" />
      <path d="M4 45 H52 L78 48 L52 51 H4 Z" class="tool" />
      <path d="M14 30 H40 M35 25 L41 30 L35 35" class="way" />
    </g>
    <g v-else-if="picture === 'lever'">
      <path d="M40 4 H60 V92 H40 Z M160 4 H180 V92 H160 Z" class="lug" />
      <path d="M66 40 H154 V92 H66 Z" class="link" />
      <path d="M56 30 H164" class="pin" />
      <path d="M78 30 V54 H86" class="tool" />
      <path d="M92 54 H116 M111 49 L117 54 L111 59" class="way" />
    </g>
    <g v-else>
      <circle cx="70" cy="56" r="32" class="link" />
      <path d="M44 52 H96 V60 H44 Z" class="hole" />
      <path d="M46 53 H94 V59 H46 Z" class="tool" />
      <path d="M150 40 H174 V66 H150 Z" class="link" />
      <path d="M152 40 V46 H172 V40" class="hole" />
      <path d="M158 4 H166 V36 H170 V45 H154 V36 H158 Z" class="tool" />
      <path d="M184 10 V30 M179 25 L184 31 L189 25" class="way" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 220px;
  max-width: 100%;
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.6;
}
.mirrored {
  transform: scaleX(-1);
}
.block {
  fill: rgb(var(--v-theme-hairline));
}
.link,
.lug {
  fill: rgb(var(--v-theme-steel));
}
.pin {
  stroke-width: 4;
}
.hole {
  stroke-dasharray: 3 2;
}
.tool {
  fill: rgb(var(--v-theme-iron));
}
.way {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 2.4;
}
</style>
