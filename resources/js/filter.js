// Long lists: of the rows that a filter names, only those stay that hold all its words.
const apply = (input) => {
    const words = input.value.toLowerCase().split(/\s+/).filter((word) => word !== '');
    const list = document.getElementById(input.dataset.filter);
    for (const row of list?.querySelectorAll('[data-row]') ?? []) {
        const text = row.textContent.toLowerCase();
        row.hidden = !words.every((word) => text.includes(word));
    }
    // A heading stays only over something.
    for (const head of list?.querySelectorAll('[data-rows]') ?? []) {
        head.hidden = head.parentElement.querySelector('[data-row]:not([hidden])') === null;
    }
};

export const filters = () => {
    document.addEventListener('input', (event) => {
        if (event.target.matches?.('[data-filter]')) {
            apply(event.target);
        }
    });
    document.addEventListener('htmx:afterSettle', () => {
        document.querySelectorAll('[data-filter]').forEach((input) => input.value !== '' && apply(input));
    });
};
