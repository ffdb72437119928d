import Alpine from '@alpinejs/csp';
import Modal from 'bootstrap/js/dist/modal';
import { board } from './board';
import { dated } from './dated';
import { desk } from './desk';
import { door } from './door';
import { editor } from './editor';
import { find } from './find';
import { keys } from './keys';
import { player } from './player';
import { choosing, plan, progress } from './publishing';
import { qr } from './joining';
import { live } from './live';
import { makeUps } from './make-ups';
import { options } from './options';
import { rows } from './rows';
import { closing, mover, week } from './week';

Alpine.data('board', board);
Alpine.data('rows', rows);
Alpine.data('dated', dated);
Alpine.data('desk', desk);
Alpine.data('door', door);
Alpine.data('editor', editor);
Alpine.data('find', find(Modal));
Alpine.data('choosing', choosing);
Alpine.data('closing', closing);
Alpine.data('mover', mover);
Alpine.data('week', week(Modal));
Alpine.data('printer', () => ({
    print() {
        window.print();
    },
}));
Alpine.data('qr', qr);
Alpine.data('live', live);
Alpine.data('makeUps', makeUps);
Alpine.data('options', options);
Alpine.data('plan', plan);
Alpine.data('player', player);
Alpine.data('progress', progress);
Alpine.data('theme', () => ({
    turn() {
        const next = document.documentElement.getAttribute('data-bs-theme') === 'dark' ? 'light' : 'dark';
        document.documentElement.setAttribute('data-bs-theme', next);
        localStorage.setItem('nomada.theme', next);
    },
}));
// What is worked out behind a page is looked at again on its own, as long as it takes.
Alpine.data('comeback', () => ({
    init() {
        setTimeout(() => window.location.reload(), 2000);
    },
}));
Alpine.data('copy', () => ({
    async copy() {
        const button = this.$root;
        const words = button.dataset.words ?? button.textContent;
        button.dataset.words = words;
        await navigator.clipboard.writeText(button.dataset.text);
        button.textContent = button.dataset.done;
        setTimeout(() => {
            button.textContent = words;
        }, 1600);
    },
}));
keys(Modal);
Alpine.start();

// What was refused is seen where it is: what is folded around it opens, and the page scrolls there.
const refused = [...document.querySelectorAll('main [role=alert], main .invalid')].filter(
    told => told.textContent.trim() !== '',
);
refused.forEach(told => {
    for (let fold = told.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
});
if (refused.length > 0) refused[0].scrollIntoView({ block: 'nearest' });

// A drop-down of the masthead closes by Escape and by a click elsewhere.
document.addEventListener('click', e => {
    document.querySelectorAll('.mast details[open], details.more[open]').forEach(d => {
        if (!d.contains(e.target)) d.open = false;
    });
});
document.addEventListener('keydown', e => {
    if (e.key === 'Escape')
        document.querySelectorAll('.mast details[open], details.more[open]').forEach(d => {
            d.open = false;
            d.querySelector('summary').focus();
        });
});
