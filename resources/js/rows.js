import { say } from './words';

// Rows of a long list that only have their name so far are brought when they come near; all of them before the page is
// printed. A row is known by data-stub there and by data-row in the answer; the list's root says in data-rows where
// to ask.
const AT_ONCE = 60;

// Milliseconds after which rows that did not come are asked for again.
const AGAIN = 5000;

const chunks = (list, size) =>
    Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));

// A page that is about to be printed does not wait for an answer that comes later.
const readAtOnce = url => {
    const request = new XMLHttpRequest();
    request.open('GET', url, false);
    request.send();
    return request.status === 200 ? request.responseText : '';
};

const bring = async (root, rows, atOnce = false) => {
    const asked = new URLSearchParams();
    rows.forEach(row => asked.append('rows[]', row.dataset.stub));
    const url = `${root.dataset.rows}?${asked}`;
    const html = atOnce
        ? readAtOnce(url)
        : await fetch(url)
              .then(a => (a.ok ? a.text() : ''))
              .catch(() => '');
    if (html === '') {
        rows.forEach(row => (row.querySelector('td.later').textContent = say('rows.silent')));
        return false;
    }
    const fresh = new DOMParser().parseFromString(html, 'text/html');
    const byKey = new Map([...fresh.querySelectorAll('tr[data-row]')].map(row => [row.dataset.row, row]));
    for (const row of rows) {
        const whole = byKey.get(row.dataset.stub);
        if (!whole || !row.isConnected) continue;
        // The box stays the one that may be ticked, and what had the focus has it again.
        const box = row.querySelector('input[type=checkbox]');
        if (box) whole.querySelector('input[type=checkbox]').replaceWith(box);
        const had = row.contains(document.activeElement) ? document.activeElement : null;
        row.replaceChildren(...whole.children);
        row.dataset.row = row.dataset.stub;
        row.removeAttribute('data-stub');
        if (had === box) box?.focus();
        else if (had && had !== row) row.querySelector('a')?.focus();
    }
    return true;
};

export const bringRows = root => {
    const stubs = [...root.querySelectorAll('tr[data-stub]')];
    if (stubs.length === 0) return;
    const waiting = new Set();
    let timer = null;
    const bringWaiting = () => {
        timer = null;
        for (const some of chunks([...waiting], AT_ONCE))
            bring(root, some).then(came => came || setTimeout(() => some.forEach(row => watch.observe(row)), AGAIN));
        waiting.clear();
    };
    const watch = new IntersectionObserver(
        seen => {
            for (const { isIntersecting, target } of seen) {
                if (!isIntersecting) continue;
                watch.unobserve(target);
                waiting.add(target);
            }
            if (waiting.size > 0) timer ??= setTimeout(bringWaiting, 40);
        },
        { rootMargin: '600px' },
    );
    stubs.forEach(row => watch.observe(row));
    window.addEventListener('beforeprint', () => {
        const left = root.querySelectorAll('tr[data-stub]');
        for (const some of chunks([...left], AT_ONCE)) bring(root, some, true);
    });
};

export const rows = () => ({
    init() {
        bringRows(this.$root);
    },
});
