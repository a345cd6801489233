import '../css/app.css';
import { createInertiaApp } from '@inertiajs/react';

void createInertiaApp({
    title: (title) => (title === '' ? 'Plain Ledger' : `${title} · Plain Ledger`),
    progress: { color: 'var(--link)', showSpinner: false },
});
