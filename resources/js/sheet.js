// What the Land screen last came with: the sheet itself, and where somebody looks.

export const sheet = () => document.getElementById('land');
export const look = () => Object.fromEntries(new FormData(document.getElementById('look')));
