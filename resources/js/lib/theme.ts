export type Theme = 'paper' | 'night';

export function theme(): Theme {
    return document.documentElement.dataset.theme === 'night' ? 'night' : 'paper';
}

export function setTheme(next: Theme): void {
    document.documentElement.dataset.theme = next;
    localStorage.setItem('theme', next);
}

/** Paper is paper: what is printed has the colours of the day, whatever the screen has. */
export function printByDay(): void {
    let before: Theme = theme();
    window.addEventListener('beforeprint', () => {
        before = theme();
        document.documentElement.dataset.theme = 'paper';
    });
    window.addEventListener('afterprint', () => {
        document.documentElement.dataset.theme = before;
    });
}
