// The player: one part after the other in the browser's own media element, the transcript beside it follows and leads
// there, and the place is kept.
export const player = () => ({
    part: null,
    kept: 0,
    init() {
        const media = this.$refs.media;
        media.addEventListener('timeupdate', () => this.follow());
        media.addEventListener('ended', () => this.next());
        media.addEventListener('pause', () => this.keep());
        window.addEventListener('pagehide', () => this.keep());
        const asked = new URLSearchParams(window.location.search).get('at');
        this.at(Number(asked ?? this.$root.dataset.place), false);
    },
    buttons() {
        return [...this.$root.querySelectorAll('.parts button')];
    },
    // A moment of the whole, in milliseconds.
    at(ms, plays) {
        const fits = this.buttons().filter(b => Number(b.dataset.from) <= ms);
        const button = fits[fits.length - 1] ?? this.buttons()[0];
        this.load(button, Math.max(0, ms - Number(button.dataset.from)), plays);
    },
    load(button, ms, plays) {
        const media = this.$refs.media;
        if (this.part !== button.dataset.n) {
            this.part = button.dataset.n;
            this.$refs.track.src = button.dataset.words;
            media.src = button.dataset.sound;
            this.buttons().forEach(b => b.setAttribute('aria-pressed', String(b === button)));
        }
        const start = () => {
            media.currentTime = ms / 1000;
            media.playbackRate = Number(this.$refs.speed.value);
            if (plays) media.play();
        };
        if (media.readyState > 0) start();
        else media.addEventListener('loadedmetadata', start, { once: true });
    },
    choose(e) {
        this.load(e.target.closest('button'), 0, true);
    },
    jump(e) {
        const cue = e.target.closest('.cue');
        this.load(
            this.buttons().find(b => b.dataset.n === cue.dataset.n),
            Number(cue.dataset.from),
            true,
        );
    },
    next() {
        const all = this.buttons();
        const after = all[all.findIndex(b => b.dataset.n === this.part) + 1];
        if (after) this.load(after, 0, true);
    },
    faster() {
        this.$refs.media.playbackRate = Number(this.$refs.speed.value);
    },
    caption() {
        this.$refs.words.hidden = !this.$refs.captions.checked;
    },
    follow() {
        const ms = this.$refs.media.currentTime * 1000;
        let said = '';
        this.$refs.transcript.querySelectorAll('.cue').forEach(cue => {
            const isNow = cue.dataset.n === this.part && Number(cue.dataset.from) <= ms && ms < Number(cue.dataset.to);
            if (isNow) said = cue.querySelector('span').textContent;
            if (isNow && !cue.classList.contains('now')) {
                const box = this.$refs.transcript;
                box.scrollTop = cue.offsetTop - box.offsetTop - box.clientHeight / 3;
            }
            cue.classList.toggle('now', isNow);
        });
        this.$refs.words.textContent = said;
        if (Math.abs(ms - this.kept) > 10000) this.keep();
    },
    keep() {
        const ms = this.$refs.media.currentTime * 1000;
        this.kept = ms;
        const button = this.buttons().find(b => b.dataset.n === this.part);
        const body = new FormData();
        body.append('_token', this.$root.dataset.token);
        body.append('at', String(Math.round(ms + Number(button?.dataset.from ?? 0))));
        navigator.sendBeacon(this.$root.dataset.to, body);
    },
});
