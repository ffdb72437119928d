// What leads to another page, or changes what is not fetched again.
const LEAVES = ['come-in', 'note', 'pass', 'pass-move', 'pass-keep', 'end', 'rehearse'];

// The live desk looks again every few seconds by its version, but not under somebody's hand; what is done on it is sent
// without leaving the page. Without this it works by its forms.
export const live = () => ({
    pen: null,
    points: [],
    init() {
        this.version = this.$root.dataset.version;
        const parts = this.$refs.parts;
        parts.addEventListener('pointerdown', e => this.down(e));
        parts.addEventListener('pointermove', e => this.move(e));
        parts.addEventListener('pointerup', () => this.up());
        this.$root.addEventListener('submit', e => this.sent(e));
        this.toEnd();
        setTimeout(() => this.again(), 3000);
    },
    toEnd() {
        const talk = this.$refs.parts.querySelector('.talk');
        if (talk) talk.scrollTop = talk.scrollHeight;
    },
    busy() {
        const parts = this.$refs.parts;
        return (
            this.points.length > 0 ||
            parts.contains(document.activeElement) ||
            parts.querySelector('details.more[open]')
        );
    },
    async again() {
        if (!this.busy()) await this.look();
        setTimeout(() => this.again(), 3000);
    },
    async look() {
        try {
            const url = new URL(this.$root.dataset.url);
            url.searchParams.set('v', this.version);
            const answer = await fetch(url, { headers: { 'X-Requested-With': 'XMLHttpRequest' } });
            if (answer.status !== 200) return;
            const html = await answer.text();
            // A hand may have been laid on it while the answer was on its way: looked at again once it is free.
            if (this.busy()) return;
            this.version = answer.headers.get('X-Version');
            const fresh = document.createElement('template');
            fresh.innerHTML = html;
            this.$refs.parts.replaceChildren(...fresh.content.firstElementChild.childNodes);
            this.toEnd();
        } catch {
            /* the server is away: asked again */
        }
    },
    // What is done by a button here is sent without leaving the page, and what is typed elsewhere stays.
    sent(e) {
        if (e.defaultPrevented || !e.target.elements.act || LEAVES.includes(e.target.elements.act.value)) return;
        e.preventDefault();
        const what = {};
        for (const [name, value] of new FormData(e.target, e.submitter)) {
            if (name === '_token') continue;
            if (name.endsWith('[]')) (what[name.slice(0, -2)] ??= []).push(value);
            else what[name] = value;
        }
        document.activeElement?.blur();
        this.$root.querySelectorAll('details.more[open]').forEach(d => d.removeAttribute('open'));
        this.send(what);
    },
    async send(what) {
        const answer = await fetch(this.$root.dataset.to, {
            method: 'POST',
            headers: {
                'Content-Type': 'application/json',
                'X-Requested-With': 'XMLHttpRequest',
                'X-CSRF-TOKEN': this.$root.dataset.token,
                Accept: 'application/json',
            },
            body: JSON.stringify({ rehearsal: this.$root.dataset.rehearsal, ...what }),
        });
        const told = this.$refs.told;
        const said = await answer.json();
        told.textContent = said.said ?? said.fault ?? said.message ?? '';
        told.className = answer.ok ? 'said' : 'fault';
        told.hidden = false;
        await this.look();
    },
    say(e) {
        e.preventDefault();
        const field = e.target.elements.text;
        this.send({ act: 'say', text: field.value });
        field.value = '';
    },
    write(e) {
        e.preventDefault();
        this.send({ act: 'mark', kind: 'text', x: 300, y: 280, text: this.$refs.words.value });
        this.$refs.words.value = '';
    },
    choose(e) {
        this.pen = this.pen === e.target.dataset.pen ? null : e.target.dataset.pen;
        this.$root
            .querySelectorAll('[data-pen]')
            .forEach(b => b.setAttribute('aria-pressed', String(b.dataset.pen === this.pen)));
    },
    picture(e) {
        const reader = new FileReader();
        reader.onload = () => this.send({ act: 'mark', kind: 'picture', src: reader.result });
        if (e.target.files[0]) reader.readAsDataURL(e.target.files[0]);
    },
    place(e) {
        const box = e.target.closest('svg.sheet').getBoundingClientRect();
        const at = (n, from, size, whole) => Math.round(((n - from) / size) * whole);
        return [at(e.clientX, box.left, box.width, 800), at(e.clientY, box.top, box.height, 560)];
    },
    down(e) {
        if (!this.pen || !e.target.closest('svg.sheet')) return;
        e.preventDefault();
        const [x, y] = this.place(e);
        if (this.pen === 'line') this.points = [[x, y]];
        if (this.pen === 'point') this.send({ act: 'mark', kind: 'point', x, y });
        if (this.pen === 'text' && this.$refs.words.value !== '') {
            this.send({ act: 'mark', kind: 'text', x, y, text: this.$refs.words.value });
            this.$refs.words.value = '';
        }
    },
    move(e) {
        if (this.points.length > 0 && e.target.closest('svg.sheet')) this.points.push(this.place(e));
    },
    up() {
        const points = this.points;
        this.points = [];
        if (points.length > 1) this.send({ act: 'mark', kind: 'line', points });
    },
});
