// Whoever waits before a door looks again without pressing: every few seconds at first, then less often. What is asked
// for is small, and the page is only read anew when the door has changed.
const FIRST = 4000;

export const door = () => ({
    pause: FIRST,
    init() {
        if (this.$root.dataset.look) this.soon();
    },
    soon() {
        setTimeout(() => this.ask(), this.pause);
        this.pause = Math.min(1000 * Number(this.$root.dataset.longest), this.pause * 1.25);
    },
    async ask() {
        try {
            const answer = await fetch(this.$root.dataset.look, { headers: { Accept: 'application/json' } });
            if (answer.ok && (await answer.json()).version !== this.$root.dataset.version) {
                window.location.reload();
                return;
            }
        } catch {
            /* the server is away: asked again */
        }
        this.soon();
    },
});
