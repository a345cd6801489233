export type Theme = 'paper' | 'night';

export function theme(): Theme {
    return document.documentElement.dataset.theme === 'night' ? 'night' : 'paper';
}

export function setTheme(next: Theme): void {
    document.documentElement.dataset.theme = next;
    localStorage.setItem('theme', next);
}
