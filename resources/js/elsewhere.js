// Two devices, one layout: this page asks whether something was done on another one, and shows it. What is being typed or
// dragged here is never taken away; then it is only said.

import htmx from 'htmx.org';
import { inField } from './bench.js';

const EVERY = 1000;

let step = Number(document.body.dataset.seen);
let typed = false;
let underway = 0;

// How far the layout's history went when what stands on this page was made.
export const seen = () => step;

const held = () => typed || underway > 0 || inField(document.activeElement) || document.body.dataset.busy === 'yes';

const show = () => {
    typed = false;
    const land = document.getElementById('land');
    if (land.dataset.show) {
        document.dispatchEvent(new CustomEvent('ridge:elsewhere'));
        return;
    }
    const target = land.closest('.frame') ? '.frame' : '#land';
    htmx.ajax('GET', location.href, { target, select: target, swap: 'outerHTML' });
};

const say = (words) => {
    const bar = document.getElementById('elsewhere');
    bar.querySelector('[data-words]').textContent = words;
    bar.hidden = false;
};

export function elsewhere() {
    const { elsewhere: url } = document.body.dataset;
    if (!url) {
        return;
    }
    let asking = false;
    const ask = async () => {
        if (asking || document.hidden) {
            return;
        }
        asking = true;
        try {
            const answer = await fetch(`${url}?seen=${step}`, { headers: { Accept: 'application/json' } });
            const news = answer.status === 200 ? await answer.json() : null;
            if (news && news.step > step && underway === 0) {
                held() ? say(news.said) : show();
            }
        } catch {
            // The machine at the bench is off or out of reach; the next question will tell.
        } finally {
            asking = false;
        }
    };
    setInterval(ask, EVERY);
    document.addEventListener('visibilitychange', ask);
    document.addEventListener('input', (event) => {
        typed ||= event.target.form?.querySelector('[name="seen"]') !== null;
    });
    document.addEventListener('submit', (event) => {
        underway += event.defaultPrevented || event.target.method !== 'post' ? 0 : 1;
    });
    // A page that is gone back to has nothing under way.
    window.addEventListener('pageshow', () => {
        underway = 0;
    });
    document.addEventListener('htmx:beforeRequest', () => {
        underway += 1;
    });
    document.addEventListener('htmx:afterRequest', (event) => {
        underway -= 1;
        const sent = event.detail.xhr.getResponseHeader('X-Seen');
        if (event.detail.successful && sent) {
            step = Number(sent);
            typed = false;
            document.getElementById('elsewhere').hidden = true;
            document.querySelectorAll('body > form [name="seen"]').forEach((field) => {
                field.value = sent;
            });
        }
    });
    document.getElementById('elsewhere').addEventListener('click', (event) => event.target.closest('button') && show());
}
