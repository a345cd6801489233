import { t } from '@lingui/core/macro';
import '../css/app.css';
import { i18n } from './lib/texts';
import { I18nProvider } from '@lingui/react';
import { createInertiaApp } from '@inertiajs/react';
import { focusHeadings } from './lib/headingFocus';
import { printByDay } from './lib/theme';
import { tellZone } from './lib/zone';

tellZone();
void createInertiaApp({
    title: (title) => (title === '' ? t`Plain Ledger` : t`${title} · Plain Ledger`),
    withApp: (app) => <I18nProvider i18n={i18n}>{app}</I18nProvider>,
    progress: { color: 'var(--link)', showSpinner: false },
}).then(() => {
    focusHeadings();
    printByDay();
});
