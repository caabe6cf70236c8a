// Of what a way could be made of, only what belongs to the picked one is shown.
export const way = () => ({
    init() {
        this.pick();
    },
    pick() {
        const order = this.$root.querySelector('select').value;
        for (const part of this.$root.querySelectorAll('[data-ways]')) {
            part.hidden = !part.dataset.ways.split(' ').includes(order);
        }
    },
});
