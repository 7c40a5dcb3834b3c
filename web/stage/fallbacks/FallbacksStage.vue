<script setup lang="ts">
</script>
<template><p /></template>
