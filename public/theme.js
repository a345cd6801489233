// Before the first paint, so that a night reader is not dazzled.
document.documentElement.dataset.theme =
    localStorage.getItem('theme') ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'paper');
