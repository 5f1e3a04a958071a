<template><main><VBtn>Hi</VBtn> µΩ</main></template>
