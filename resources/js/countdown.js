// What must not be missed: the minutes left, counted from the server's time in the page; a sound and a notice when one is due.

const MINUTE = 60_000;

const words = (minutes) => {
    if (minutes < 0) {
        return 'over';
    }
    return minutes < 60 ? `${Math.floor(minutes)} min` : `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
};

const beep = (audio) => {
    for (const [at, pitch] of [[0, 660], [0.25, 880], [0.5, 660]]) {
        const [tone, loud] = [audio.createOscillator(), audio.createGain()];
        tone.frequency.value = pitch;
        loud.gain.setValueAtTime(0.2, audio.currentTime + at);
        loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.22);
        tone.connect(loud).connect(audio.destination);
        tone.start(audio.currentTime + at);
        tone.stop(audio.currentTime + at + 0.24);
    }
};

export function countdown(sheet) {
    const began = document.timeline.currentTime;
    const now = Number(sheet.dataset.now);
    const rows = [...sheet.querySelectorAll('[data-at]')].map((row) => ({ row, at: Number(row.dataset.at), told: Number(row.dataset.at) <= now }));
    const button = sheet.querySelector('[data-notices]');
    let audio = null;
    button.hidden = false;
    button.addEventListener('click', async () => {
        audio = new AudioContext();
        beep(audio);
        if ('Notification' in window && Notification.permission === 'default') {
            await Notification.requestPermission();
        }
        button.textContent = 'It will be said aloud';
        button.disabled = true;
    });
    const tick = () => {
        const at = now + (document.timeline.currentTime - began) / MINUTE;
        for (const one of rows) {
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
