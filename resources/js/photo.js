// A picture is touched for its colour, a plan for the place it was taken from, and two pictures slide over each other. What is
// read of a spot, the server says.

const share = (event, of) => {
    const box = of.getBoundingClientRect();
    return [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
};

export const photo = () => {
    const touch = document.querySelector('[data-touch]');
    touch?.querySelector('.touch').addEventListener('click', (event) => {
        const [x, y] = share(event, touch.querySelector('img'));
        touch.elements.x.value = x.toFixed(4);
        touch.elements.y.value = y.toFixed(4);
        touch.requestSubmit();
    });

    const slide = document.querySelector('[data-slide]');
    slide?.querySelector('input').addEventListener('input', (event) => {
        slide.style.setProperty('--cut', `${event.target.value}%`);
    });

    const plan = document.querySelector('[data-place]');
    plan?.addEventListener('click', (event) => {
        const [width, depth, margin] = plan.dataset.place.split(' ').map(Number);
        const [x, y] = share(event, plan);
        const form = plan.closest('form');
        form.elements.x.value = `${Math.round(x * (width + 2 * margin) - margin)} mm`;
        form.elements.y.value = `${Math.round((1 - y) * (depth + 2 * margin) - margin)} mm`;
    });
};
