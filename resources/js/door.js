// Whoever waits before a door looks again without pressing: at the moment at which it opens, and in between with
// growing pauses. What is asked for is small, and the page is only read anew when the door has changed.
const FIRST = 15000;
const DAY = 86400;

export const door = () => ({
    pause: FIRST,
    init() {
        const { look, opens } = this.$root.dataset;
        if (!look) return;
        this.soon();
        // Not all in the same second.
        if (opens > 0 && opens < DAY) setTimeout(() => this.ask(), 1000 * opens + 3000 * Math.random());
    },
    soon() {
        setTimeout(async () => {
            await this.ask();
            this.soon();
        }, this.pause);
        this.pause = Math.min(1000 * this.$root.dataset.longest, this.pause * 1.3);
    },
    async ask() {
        try {
            const answer = await fetch(this.$root.dataset.look, { headers: { Accept: 'application/json' } });
            if (answer.ok && (await answer.json()).version !== this.$root.dataset.version) window.location.reload();
        } catch {
            /* the server is away: asked again */
        }
    },
});
