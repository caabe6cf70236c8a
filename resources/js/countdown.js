// What must not be missed: the minutes left, counted from the server's time in the page; a sound and a notice when one is due.

import { hasSound, switchNotices, switchSound, tell } from './notices.js';

const MINUTE = 60_000;

const words = (minutes) => {
    if (minutes < 0) {
        return 'over';
    }
    return minutes < 60
        ? `${Math.floor(minutes)} min`
        : `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
};

export function countdown() {
    let [sheet, began, rows] = [null, 0, []];

    const loud = (button) => {
        button.textContent = 'It will be said aloud';
        button.disabled = true;
    };
    // The page may have been fetched anew; who asked to hear it goes on hearing it.
    const find = () => {
        const found = document.querySelector('[data-countdowns]');
        if (found === null || found === sheet) {
            sheet = found;
            return;
        }
        [sheet, began] = [found, document.timeline.currentTime];
        rows = [...sheet.querySelectorAll('[data-at]')].map((row) => ({
            row,
            at: Number(row.dataset.at),
            told: Number(row.dataset.at) <= Number(sheet.dataset.now),
        }));
        const button = sheet.querySelector('[data-notices]');
        button.hidden = false;
        if (hasSound()) {
            loud(button);
        }
        button.addEventListener('click', async () => {
            switchSound(true);
            loud(button);
            await switchNotices(true);
        });
    };
    const tick = () => {
        find();
        const at = sheet === null ? 0 : Number(sheet.dataset.now) + (document.timeline.currentTime - began) / MINUTE;
        for (const one of sheet === null ? [] : rows) {
            one.row.querySelector('[data-left]').textContent = words(one.at - at);
            one.row.classList.toggle('near', one.at - at < 10);
            if (!one.told && one.at <= at) {
                one.told = true;
                tell(one.row.dataset.words);
            }
        }
    };
    tick();
    setInterval(tick, 1000);
}
