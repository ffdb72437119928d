// The keys of every screen: / finds, ? shows the keys, g and a stop's first letter goes there (again for the next stop
// of that letter).
export function keys(Modal) {
    let waiting = 0;
    const isTyping = el =>
        el.closest('input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]') !== null;

    document.addEventListener('keydown', e => {
        if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return;
        if (Date.now() < waiting && /^[a-z]$/i.test(e.key)) {
            waiting = 0;
            go(e.key.toLowerCase(), e);
        } else if (e.key === 'g') {
            waiting = Date.now() + 1500;
        } else if (e.key === '?') {
            const dialog = document.getElementById('keys');
            if (dialog) Modal.getOrCreateInstance(dialog).show();
        }
    });

    function go(letter, e) {
        const stops = [...document.querySelectorAll('.route a[data-stop]')];
        if (letter === 'h') {
            e.preventDefault();
            location.assign('/');
            return;
        }
        const here = stops.findIndex(a => a.hasAttribute('aria-current'));
        const after = [...stops.slice(here + 1), ...stops.slice(0, here + 1)];
        const stop = after.find(a => a.dataset.stop.startsWith(letter));
        if (stop) {
            e.preventDefault();
            location.assign(stop.href);
        }
    }
}
