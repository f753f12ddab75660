<script setup lang="ts">
/** A page for whoever is not signed in: what is asked on the left, and a roof face with its two tapes beside it. */
defineProps<{ title: string }>()
const rafters = Array.from({ length: 11 }, (_, i) => 46 + i * 36)
const modules = [0, 1, 2].flatMap(row => Array.from({ length: row === 2 ? 5 : 7 }, (_, i) => ({ x: 70 + i * 47, y: 300 - row * 88 })))
const crosses = [0, 1, 2].flatMap(row => [22, 66].flatMap(up => rafters.filter((_, i) => i % 2 === 1 && (row < 2 || i < 8)).map(x => ({ x, y: 384 - row * 88 - up }))))
</script>

<template>
  <div class="grid min-h-dvh grid-cols-[minmax(24rem,30rem)_1fr] max-lg:grid-cols-1">
    <main class="flex flex-col justify-center px-10 py-10 max-sm:justify-start max-sm:px-5">
      <div class="mb-6 flex items-center gap-3 border-b-2 border-graphite-900 pb-3">
        <img
          :src="MARK"
          alt=""
          class="size-10"
        >
        <p class="text-xl font-bold">
          Upper Deck
        </p>
        <ThemeSwitch class="ml-auto" />
      </div>
      <h1 class="mb-4 text-2xl leading-tight font-bold">
        {{ title }}
      </h1>
      <slot />
    </main>
    <svg
      viewBox="0 0 470 470"
      preserveAspectRatio="xMidYMid slice"
      class="size-full border-l border-graphite-300 bg-sheet max-lg:hidden"
      aria-hidden="true"
    >
      <rect
        x="40"
        y="80"
        width="400"
        height="330"
        class="fill-face stroke-graphite-900"
        stroke-width="1.5"
      />
      <line
        v-for="n in 21"
        :key="n"
        x1="40"
        x2="440"
        :y1="410 - n * 15"
        :y2="410 - n * 15"
        class="stroke-course"
        stroke-width=".8"
      />
      <rect
        v-for="x in rafters"
        :key="x"
        :x="x - 4"
        y="80"
        width="8"
        height="330"
        class="fill-timber"
        opacity=".75"
      />
      <rect
        v-for="one in modules"
        :key="`${one.x} ${one.y}`"
        :x="one.x"
        :y="one.y"
        width="45"
        height="84"
        class="fill-module stroke-module-edge"
        stroke-width="1"
      />
      <g
        v-for="row in 3"
        :key="row"
        class="stroke-rail"
        stroke-width="2.4"
      >
        <line
          v-for="up in [22, 66]"
          :key="up"
          x1="64"
          :x2="row === 3 ? 310 : 404"
          :y1="384 - (row - 1) * 88 - up"
          :y2="384 - (row - 1) * 88 - up"
        />
      </g>
      <path
        v-for="(one, i) in crosses"
        :key="i"
        :d="`M${one.x - 4} ${one.y - 4}l8 8m0 -8l-8 8`"
        class="stroke-crayon"
        stroke-width="2"
      />
      <g class="fill-tape stroke-tape-line">
        <rect
          x="40"
          y="422"
          width="400"
          height="14"
        />
        <rect
          x="14"
          y="80"
          width="14"
          height="330"
        />
      </g>
      <g
        class="stroke-tape-line"
        stroke-width="1"
      >
        <line
          v-for="n in 39"
          :key="`x${n}`"
          :x1="40 + n * 10"
          :x2="40 + n * 10"
          y1="422"
          :y2="n % 5 ? 427 : 431"
        />
        <line
          v-for="n in 32"
          :key="`y${n}`"
          x1="28"
          :x2="n % 5 ? 23 : 19"
          :y1="410 - n * 10"
          :y2="410 - n * 10"
        />
      </g>
    </svg>
  </div>
</template>
