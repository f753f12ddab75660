<template>
  <UApp>
    <NuxtPage />
    <NewVersion />
  </UApp>
</template>
