<template>
  <!-- Links that never come out are hatched. -->
  <defs>
    <pattern
      id="held-links"
      width="1.8"
      height="1.8"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <rect width="1.8" height="1.8" class="ground" />
      <line x1="0" y1="0" x2="0" y2="1.8" class="line" />
    </pattern>
  </defs>
</template>

<style scoped>
.ground {
  fill: rgb(var(--v-theme-steel));
}
.line {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.8;
}
</style>
