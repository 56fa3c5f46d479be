try {
  document.documentElement.dataset.light = localStorage.getItem('selvrin.light') === 'safelight' ? 'safelight' : 'white'
} catch {
  document.documentElement.dataset.light = 'white'
}
