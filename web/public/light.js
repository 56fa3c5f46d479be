// before anything is drawn: a page that was in safelight never flashes white
try {
  document.documentElement.dataset.light = localStorage.getItem('selvrin.light') === 'safelight' ? 'safelight' : 'white'
} catch {
  document.documentElement.dataset.light = 'white'
}
