<template>
  <UApp>
    <h1>A bare page</h1>
  </UApp>
</template>
