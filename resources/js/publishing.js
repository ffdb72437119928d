import { say } from './words';

// The plan opens a section's words within its row; a run's progress is asked for until it is over.
export const plan = () => ({
    init() {
        this.$root.querySelectorAll('button.toggle').forEach(b => b.addEventListener('click', () => this.turn(b)));
        const open = this.$root.dataset.open;
        const first = open
            ? [...this.$root.querySelectorAll('button.toggle')].find(b => b.dataset.section === open)
            : null;
        if (first) this.turn(first);
        this.count();
        this.$root.addEventListener('change', () => this.count());
    },
    steps: 0,
    chosen: 0,
    toTell: 0,
    count() {
        const on = [...this.$root.querySelectorAll("input[name='sections[]']:checked")];
        this.chosen = on.length;
        // Shown beside what is in the class stream.
        const stream = this.$root.querySelector("input[name='places[]'][value='class-stream']");
        this.toTell = stream?.checked ? on.filter(b => b.dataset.toTell === '1').length : 0;
        // Of each section so many steps at each place, in the places' order.
        const places = [...this.$root.querySelectorAll("input[name='places[]']")].map(p => p.checked);
        const of = b => b.dataset.steps.split(' ').filter((n, i) => places[i]);
        this.steps = on.reduce((sum, b) => sum + of(b).reduce((s, n) => s + Number(n), 0), 0);
    },
    chooseAll(e) {
        this.$root.querySelectorAll("input[name='sections[]']").forEach(b => {
            b.checked = e.target.checked;
        });
        this.count();
    },
    words() {
        return this.steps > 0 ? say('plan.placements', { n: this.steps }) : say('plan.to_tell', { n: this.toTell });
    },
    of() {
        return say('plan.chosen', { n: this.chosen });
    },
    label() {
        return this.steps > 0 ? say('plan.publish', { n: this.steps }) : say('plan.tell', { n: this.toTell });
    },
    none() {
        return this.steps + this.toTell === 0;
    },
    async turn(button) {
        const row = button.closest('tr');
        const open = button.getAttribute('aria-expanded') === 'true';
        button.setAttribute('aria-expanded', open ? 'false' : 'true');
        row.classList.toggle('is-open', !open);
        if (open) {
            row.nextElementSibling.remove();
            return;
        }
        const detail = document.createElement('tr');
        const cell = detail.appendChild(document.createElement('td'));
        cell.className = 'detail';
        cell.colSpan = 5;
        const tell = (how, key) => {
            const line = document.createElement('span');
            line.className = how;
            line.textContent = say(key);
            cell.replaceChildren(line);
        };
        tell('quiet', 'plan.reading');
        row.after(detail);
        try {
            const answer = await fetch(button.dataset.url, { headers: { 'X-Requested-With': 'XMLHttpRequest' } });
            if (answer.ok) cell.innerHTML = await answer.text();
            else tell('bad', 'plan.unread');
        } catch {
            tell('bad', 'plan.silent');
        }
    },
});

export const progress = () => ({
    init() {
        if (this.$root.querySelector('[data-over]') === null) setTimeout(() => this.ask(), 600);
    },
    async ask() {
        try {
            const answer = await fetch(this.$root.dataset.url, { headers: { 'X-Requested-With': 'XMLHttpRequest' } });
            if (answer.ok) this.$root.innerHTML = await answer.text();
        } catch {
            /* the server is away: asked again */
        }
        if (this.$root.querySelector('[data-over]') === null) setTimeout(() => this.ask(), 700);
    },
});

// Boxes of a list, and one that is for all of them.
export const choosing = () => ({
    all(e) {
        this.$root.querySelectorAll("input[name='chosen[]']").forEach(b => {
            b.checked = e.target.checked;
        });
    },
});
