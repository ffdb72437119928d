import { say } from './words';

/** A part of a page that takes longer than the page may: fetched when it comes into sight. */
export const options = () => ({
    init() {
        const root = this.$root;
        const seen = new IntersectionObserver(entries => {
            if (!entries.some(entry => entry.isIntersecting)) return;
            seen.disconnect();
            fetch(root.dataset.from)
                .then(answer => (answer.ok ? answer.text() : Promise.reject(answer.status)))
                .then(html => {
                    root.innerHTML = html;
                })
                .catch(() => {
                    root.textContent = say('options.silent');
                });
        });
        seen.observe(root);
    },
});
