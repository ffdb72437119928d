import { say } from './words';
import { bringRows } from './rows';
import { shortDate } from './words';

// The board: choosing rows (Space, Shift, all), arrows over rows and stops, Enter opens.
// Rows are sections, or (on the joining page) series.
const BOX = "input[name='sections[]'], input[name='series[]']";

export const board = () => ({
    chosen: 0,
    names: '',
    last: null,
    stop: -1,
    init() {
        // Once the parts are known: somebody quicker than this script may have pressed one already.
        this.$nextTick(() => (this.$refs.all && this.$refs.all.checked ? this.chooseAll() : this.count()));
        this.$root.addEventListener('keydown', e => this.key(e));
        this.$root.addEventListener('click', e => this.click(e));
        this.$root.addEventListener('mousemove', e => this.hover(e));
        bringRows(this.$root);
    },
    boxes() {
        return [...this.$root.querySelectorAll(BOX)];
    },
    count() {
        const on = this.boxes().filter(b => b.checked);
        this.chosen = on.length;
        this.names =
            on
                .slice(0, 8)
                .map(b => b.dataset.name)
                .join(' · ') + (on.length > 8 ? ' · ' + say('tray.more', { n: on.length - 8 }) : '');
        const all = this.$refs.all;
        if (all) {
            all.checked = on.length > 0 && on.length === this.boxes().length;
            all.indeterminate = on.length > 0 && on.length < this.boxes().length;
        }
    },
    words() {
        return this.boxes()[0]?.name === 'series[]'
            ? say('tray.series', { n: this.chosen })
            : say('tray.sections', { n: this.chosen });
    },
    chooseAll() {
        const on = this.$refs.all.checked;
        this.boxes().forEach(b => {
            b.checked = on;
        });
        this.count();
    },
    clear() {
        this.boxes().forEach(b => {
            b.checked = false;
        });
        this.count();
    },
    click(e) {
        const box = e.target.closest(BOX);
        if (box) {
            if (e.shiftKey && this.last) this.range(this.last, box);
            this.last = box;
            this.count();
            return;
        }
        const line = e.target.closest('svg.line[data-days]');
        if (line) this.openStop(line, this.nearest(line, e));
    },
    range(from, to) {
        const boxes = this.boxes();
        const [a, b] = [boxes.indexOf(from), boxes.indexOf(to)].sort((x, y) => x - y);
        boxes.slice(a, b + 1).forEach(box => {
            box.checked = to.checked;
        });
    },
    key(e) {
        const row = e.target.closest('tr.row-s');
        if (!row || (e.target !== row && e.target.tagName !== 'INPUT')) return;
        const rows = [...this.$root.querySelectorAll('tr.row-s')];
        const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
        if (step) {
            e.preventDefault();
            const next = rows[rows.indexOf(row) + step];
            if (next) {
                rows.forEach(r => {
                    r.tabIndex = -1;
                });
                next.tabIndex = 0;
                next.focus();
                this.mark(row.querySelector('svg.line'), -1);
                this.stop = -1;
                if (e.shiftKey) {
                    next.querySelector(BOX).checked = true;
                    row.querySelector(BOX).checked = true;
                    this.count();
                }
            }
        } else if (e.key === 'ArrowRight' || e.key === 'ArrowLeft') {
            e.preventDefault();
            const line = row.querySelector('svg.line');
            const days = line ? this.days(line) : [];
            if (!days.length) return;
            const now = Number(line.dataset.now);
            const from =
                this.stop < 0
                    ? Math.max(
                          0,
                          days.findIndex(d => d >= now),
                      ) - (e.key === 'ArrowRight' ? 1 : 0)
                    : this.stop;
            this.stop = Math.max(0, Math.min(days.length - 1, from + (e.key === 'ArrowRight' ? 1 : -1)));
            this.mark(line, days[this.stop]);
            this.$refs.told.textContent = this.dateOf(line, days[this.stop]);
        } else if (e.key === ' ' && e.target === row) {
            e.preventDefault();
            const box = row.querySelector(BOX);
            box.checked = !box.checked;
            this.last = box;
            this.count();
        } else if (e.key === 'Enter' && e.target === row) {
            e.preventDefault();
            const line = row.querySelector('svg.line');
            if (this.stop >= 0) this.openStop(line, this.days(line)[this.stop]);
            else location.assign(row.querySelector('a').href);
        }
    },
    days(line) {
        return line.dataset.days === '' ? [] : line.dataset.days.split(' ').map(Number);
    },
    scale() {
        const d = this.$root.dataset;
        return { left: Number(d.left), week: Number(d.week), monday: d.monday };
    },
    x(offset) {
        const s = this.scale();
        return s.left + Math.floor(offset / 7) * s.week + ((Math.min(offset % 7, 4.5) + 0.5) * s.week) / 5;
    },
    dateOf(line, offset) {
        const date = new Date(this.scale().monday + 'T12:00:00Z');
        date.setUTCDate(date.getUTCDate() + offset);
        return shortDate(date);
    },
    iso(offset) {
        const date = new Date(this.scale().monday + 'T12:00:00Z');
        date.setUTCDate(date.getUTCDate() + offset);
        return date.toISOString().slice(0, 10);
    },
    nearest(line, e) {
        const x = e.clientX - line.getBoundingClientRect().left;
        let best = -1;
        this.days(line).forEach(d => {
            if (best < 0 || Math.abs(this.x(d) - x) < Math.abs(this.x(best) - x)) best = d;
        });
        return best >= 0 && Math.abs(this.x(best) - x) < 7 ? best : -1;
    },
    hover(e) {
        const line = e.target.closest('svg.line[data-days]');
        if (!line) return;
        const day = this.nearest(line, e);
        line.style.cursor = day < 0 ? 'default' : 'pointer';
        if (day >= 0) line.querySelector('title').textContent = line.dataset.name + ', ' + this.dateOf(line, day);
    },
    mark(line, day) {
        if (!line) return;
        const ring = line.querySelector('.mark');
        ring.style.visibility = day < 0 ? 'hidden' : 'visible';
        if (day >= 0) ring.setAttribute('cx', this.x(day));
    },
    openStop(line, day) {
        location.assign(line.dataset.url + (day < 0 ? '' : '?day=' + this.iso(day)));
    },
});
