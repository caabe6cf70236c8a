// An address as a pattern that a camera reads.

import qrcode from 'qrcode-generator';

const QUIET = 4;

export function pairing(figure) {
    const code = qrcode(0, 'M');
    code.addData(figure.dataset.qr);
    code.make();
    const size = code.getModuleCount();
    let path = '';
    for (let row = 0; row < size; row++) {
        for (let column = 0; column < size; column++) {
            path += code.isDark(row, column) ? `M${column} ${row}h1v1h-1z` : '';
        }
    }
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('viewBox', `${-QUIET} ${-QUIET} ${size + 2 * QUIET} ${size + 2 * QUIET}`);
    const drawn = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    drawn.setAttribute('d', path);
    svg.append(drawn);
    figure.replaceChildren(svg);
}
