// What must not be missed: the minutes left, counted from the server's time in the page; a sound and a notice when one is due.

const MINUTE = 60_000;

const words = (minutes) => {
    if (minutes < 0) {
        return 'over';
    }
    return minutes < 60
        ? `${Math.floor(minutes)} min`
        : `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
};

const beep = (audio) => {
    for (const [at, pitch] of [
        [0, 660],
        [0.25, 880],
        [0.5, 660],
    ]) {
        const [tone, loud] = [audio.createOscillator(), audio.createGain()];
        tone.frequency.value = pitch;
        loud.gain.setValueAtTime(0.2, audio.currentTime + at);
        loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.22);
        tone.connect(loud).connect(audio.destination);
        tone.start(audio.currentTime + at);
        tone.stop(audio.currentTime + at + 0.24);
    }
};

export function countdown() {
    let [audio, sheet, began, rows] = [null, null, 0, []];

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
        if (audio) {
            loud(button);
        }
        button.addEventListener('click', async () => {
            audio = new AudioContext();
            beep(audio);
            if ('Notification' in window && Notification.permission === 'default') {
                await Notification.requestPermission();
            }
            loud(button);
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
                if (audio) {
                    beep(audio);
                }
                if ('Notification' in window && Notification.permission === 'granted') {
                    new Notification(one.row.dataset.words);
                }
            }
        }
    };
    tick();
    setInterval(tick, 1000);
}
