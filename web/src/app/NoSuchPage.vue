<template>
  <main class="nowhere stacked">
    <h1>There is no such page</h1>
    <p>Take a station at the left, or go back to <RouterLink to="/today">Today</RouterLink>.</p>
  </main>
</template>

<style scoped>
.nowhere {
  padding: 48px;
}
</style>
