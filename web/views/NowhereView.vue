<template>
  <div class="sheet max-w-xl">
    <h1>Not here</h1>
    <p class="mt-2">There is no page at this address.</p>
    <RouterLink to="/" class="press press-plain mt-4">To the start</RouterLink>
  </div>
</template>
