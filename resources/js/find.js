// Finding anything: a combobox over what the server finds.
export const find = Modal => () => ({
    typed: '',
    found: [],
    at: 0,
    asked: 0,
    failed: false,
    modal: null,
    init() {
        this.modal = new Modal(document.getElementById('find'));
        document.getElementById('find').addEventListener('shown.bs.modal', () => this.$refs.typed.focus());
        document.addEventListener('keydown', e => {
            const typing = e.target.closest('input, textarea, select, [contenteditable]');
            if (e.key === '/' && !typing && !e.ctrlKey && !e.metaKey) {
                e.preventDefault();
                this.open();
            }
        });
    },
    open() {
        this.modal.show();
    },
    async ask() {
        const mine = ++this.asked;
        try {
            const answer = await fetch(this.$root.dataset.url + '?q=' + encodeURIComponent(this.typed), {
                headers: { Accept: 'application/json' },
            });
            const found = (await answer.json()).found;
            if (mine === this.asked) {
                this.found = found.map((hit, i) => ({ ...hit, id: 'hit-' + i, i }));
                this.at = 0;
                this.failed = false;
            }
        } catch {
            this.failed = true;
        }
    },
    step(by) {
        if (this.found.length) this.at = (this.at + by + this.found.length) % this.found.length;
        this.$nextTick(() => document.getElementById('hit-' + this.at)?.scrollIntoView({ block: 'nearest' }));
    },
    isAt(hit) {
        return hit.i === this.at ? 'true' : 'false';
    },
    here() {
        return this.found.length ? 'hit-' + this.at : null;
    },
    nothing() {
        return this.typed !== '' && this.found.length === 0 && !this.failed;
    },
    go() {
        if (this.found[this.at]) location.assign(this.found[this.at].url);
    },
    goTo(hit) {
        location.assign(hit.url);
    },
});
