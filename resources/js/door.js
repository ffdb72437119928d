// Anybody who waits before a door looks again without pressing. When it opens, the page is read again. In between it
// asks, with growing pauses, whether the door has changed: that is small, and everybody who waits shares the answer.
const FIRST = 15000;
const DAY = 86400;

export const door = () => ({
    pause: FIRST,
    init() {
        const { look, opens } = this.$root.dataset;
        if (!look) return;
        this.soon();
        // Not all in the same second. The shared answer may be from just before, so it is not asked then.
        if (opens > 0 && opens < DAY) setTimeout(() => window.location.reload(), 1000 * opens + 3000 * Math.random());
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
