<script setup>
import { ref, onMounted } from 'vue';

const tides = ref([]);
const place = ref(location.hash);
addEventListener('hashchange', () => (place.value = location.hash));
// As data that comes after the page has been drawn.
onMounted(() => setTimeout(() => (tides.value = ['High water 04:12', 'Low water 10:31']), 50));
</script>

<template>
  <main>
    <h1>Tides at the landing</h1>
    <p class="intro">The landing is safe for an hour on either side of high water.</p>
    <ul>
      <li v-for="tide in tides" :key="tide" class="tide">{{ tide }}</li>
    </ul>
    <a href="#/winds">Winds</a>
    <h2 v-if="place === '#/winds'">Winds at the lamp</h2>
    <div class="filler"></div>
  </main>
</template>

<style>
body {
  margin: 32px;
  font-family: monospace;
}
h1 {
  color: rgb(0, 90, 90);
}
.filler {
  height: 2000px;
}
</style>
