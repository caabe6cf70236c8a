<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Scripts that look at a page as an eye would: words over each other, words cut off. */
final class Looks
{
    /** Pairs of texts whose boxes overlap by more than a pixel each way. */
    public const OVERLAPS = <<<'JS'
        const boxes = [];
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        for (let node = walker.nextNode(); node; node = walker.nextNode()) {
            const parent = node.parentElement;
            const shown = parent.checkVisibility({ opacityProperty: true, visibilityProperty: true });
            if (!node.textContent.trim() || !shown || parent.closest('title, dialog, .skip, select, script, template, [hidden]')) {
                continue;
            }
            const range = document.createRange();
            range.selectNodeContents(node);
            const scroller = parent.closest('.inspector, .col.scrolls, .cut-hold, .rail, .mv-list, .rcol, .take-sheet .in');
            const frame = scroller ? scroller.getBoundingClientRect() : { left: -1e9, right: 1e9, top: -1e9, bottom: 1e9 };
            const sticky = parent.closest('.acts, .sticky-act');
            const rects = parent.namespaceURI.endsWith('svg') ? [parent.getBoundingClientRect()] : [...range.getClientRects()];
            for (const r of rects) {
                // Text boxes are taller than their letters: compare the middle two thirds.
                const trim = r.height * 0.17;
                const text = node.textContent.trim().slice(0, 40);
                const box = { l: r.left, r: r.right, t: r.top + trim, b: r.bottom - trim, text, sticky };
                if (box.t >= frame.top && box.b <= frame.bottom && box.r > box.l) {
                    boxes.push(box);
                }
            }
        }
        const pairs = [];
        for (let i = 0; i < boxes.length; i++) {
            for (let j = i + 1; j < boxes.length; j++) {
                const [a, b] = [boxes[i], boxes[j]];
                const wide = Math.min(a.r, b.r) - Math.max(a.l, b.l);
                const high = Math.min(a.b, b.b) - Math.max(a.t, b.t);
                if (Boolean(a.sticky) === Boolean(b.sticky) && wide > 1 && high > 1) {
                    pairs.push(`${a.text} | ${b.text}`);
                }
            }
        }
        return pairs;
    JS;

    /** Texts that reach out of their box, their drawing or the window. */
    public const CLIPPED = <<<'JS'
        const cut = [];
        for (const element of document.querySelectorAll('h1, h2, h3, p, dt, dd, span, a, button, label, th, td, small, b')) {
            const style = getComputedStyle(element);
            if (!element.checkVisibility() || element.closest('dialog, .skip, [hidden]') || !element.textContent.trim()) {
                continue;
            }
            if (style.overflowX !== 'visible' && element.scrollWidth > element.clientWidth + 1) {
                cut.push(element.textContent.trim().slice(0, 40));
            }
            const r = element.getBoundingClientRect();
            if (!element.closest('.inspector, .col.scrolls, .cut-hold, .rail, .hz-line') && (r.right > innerWidth + 1 || r.left < -1)) {
                cut.push('out of the window: ' + element.textContent.trim().slice(0, 40));
            }
        }
        for (const text of document.querySelectorAll('svg text')) {
            const r = text.getBoundingClientRect();
            const s = text.closest('svg').getBoundingClientRect();
            if (r.left < s.left - 1 || r.right > s.right + 1 || r.top < s.top - 2 || r.bottom > s.bottom + 2) {
                cut.push('out of its drawing: ' + text.textContent);
            }
        }
        for (const field of document.querySelectorAll('input:not([type=hidden]):not([type=checkbox]):not([type=file])')) {
            if (field.checkVisibility() && field.scrollWidth > field.clientWidth + 1) {
                cut.push('field: ' + field.name + ' ' + field.value);
            }
        }
        return cut;
    JS;

    public const SCROLLS = 'const d = document.scrollingElement; return d.scrollHeight '
        .'> innerHeight + 1 || d.scrollWidth > innerWidth + 1;';
}
