// How this device tells that something is due: with a sound, with a notice. Both are kept on the device and set in one place.

let audio = null;

const unlock = () => {
    audio ??= new AudioContext();
    audio.resume();
};

export const hasSound = () => localStorage.getItem('sound') === 'on';

export const hasNotices = () =>
    localStorage.getItem('notices') === 'on' && 'Notification' in window && Notification.permission === 'granted';

const beep = () => {
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

const keep = (what, on) => {
    localStorage.setItem(what, on ? 'on' : 'off');
    document.dispatchEvent(new Event('notices'));
};

/** Turned on it is heard at once, so that one knows how loud it is. */
export const switchSound = (on) => {
    if (on) {
        unlock();
        beep();
    }
    keep('sound', on);
};

/** The browser is asked the first time; what it forbids stays off. */
export const switchNotices = async (on) => {
    if (on && 'Notification' in window && Notification.permission === 'default') {
        await Notification.requestPermission();
    }
    keep('notices', on && 'Notification' in window && Notification.permission === 'granted');
};

export const tell = (words) => {
    if (hasSound() && audio) {
        beep();
    }
    if (hasNotices()) {
        new Notification(words);
    }
};

// A browser plays nothing on a page that was not touched yet.
document.addEventListener('pointerdown', () => hasSound() && unlock());
