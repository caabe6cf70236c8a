// What every page has: the list of keys, the lamp, and what is set on this device.

import { hasNotices, hasSound, switchNotices, switchSound } from './notices.js';

const YEAR = 365 * 24 * 3600;

export const lettersWork = () => localStorage.getItem('letters') !== 'off';

/** What a key moves things by, mm: the page says it in its units. */
export const nudgeBy = (far) => Number(far ? document.body.dataset.coarse : document.body.dataset.fine);

export const inField = (target) => target.closest('input, select, textarea, dialog') !== null;

export function bench() {
    return {
        letters: lettersWork(),
        sound: hasSound(),
        notices: hasNotices(),

        init() {
            document.querySelectorAll('[data-browser-zone]').forEach((field) => {
                field.value ||= Intl.DateTimeFormat().resolvedOptions().timeZone;
            });
            document.addEventListener('notices', () => [this.sound, this.notices] = [hasSound(), hasNotices()]);
            document.addEventListener('keydown', (event) => this.press(event));
            document.addEventListener('click', (event) => {
                const layer = event.target.closest('[data-layer]');
                if (layer) {
                    location.search = `?layer=${layer.dataset.layer}`;
                }
                const fill = event.target.closest('[data-fill]');
                if (fill) {
                    const field = document.getElementById(fill.dataset.fill);
                    field.value = fill.dataset.value;
                    field.dispatchEvent(new Event('change', { bubbles: true }));
                }
            });
        },

        press(event) {
            if (inField(event.target) || event.ctrlKey || event.metaKey || event.altKey || !lettersWork()) {
                return;
            }
            if (event.key === '/' && this.$refs.finder) {
                event.preventDefault();
                this.find();
            } else if (event.key === '?') {
                this.keys();
            } else if (event.key.toLowerCase() === 'u') {
                document.querySelector(event.shiftKey ? '[data-redo]' : '[data-undo]')?.click();
            } else if (/^[0-9WL]$/.test(event.key)) {
                document.querySelector(`[data-key="${event.key}"]`)?.click();
            } else if (event.key === ',' || event.key === '.') {
                const here = document.querySelector('.page-tabs [aria-current]');
                const there = event.key === ',' ? here?.previousElementSibling : here?.nextElementSibling;
                there?.click();
            }
        },

        keys() {
            this.$refs.keys.showModal();
        },

        find() {
            this.$refs.finder.showModal();
            this.$refs.finder.querySelector('input').select();
        },

        // Arrows go through what was found, Enter opens the first.
        choose(event) {
            const links = [...this.$refs.finder.querySelectorAll('#found a')];
            if (event.key === 'ArrowDown' && links.length > 0) {
                event.preventDefault();
                links[0].focus();
            } else if (event.key === 'Enter' && links.length > 0) {
                event.preventDefault();
                links[0].click();
            }
        },

        print() {
            window.print();
        },

        lamp() {
            const { dataset } = document.documentElement;
            const isDark = matchMedia('(prefers-color-scheme: dark)').matches;
            const isLamp = dataset.theme === 'system' ? isDark : dataset.theme === 'lamp';
            const theme = isLamp ? 'film' : 'lamp';
            dataset.theme = theme;
            document.cookie = `theme=${theme};path=/;max-age=${YEAR};samesite=strict`;
        },

        switchLetters() {
            this.letters = !this.letters;
            localStorage.setItem('letters', this.letters ? 'on' : 'off');
        },

        turnSound() {
            switchSound(!this.sound);
        },

        turnNotices(event) {
            switchNotices(!this.notices).then(() => {
                event.target.checked = this.notices;
            });
        },
    };
}
