import { say, shortDate } from './words';

// The timetable's blocks are dragged, or moved by keys: five minutes a step, with Shift a day. While one moves, its
// people's free and busy hours are shaded on its row (the server works them out); when it is let go, the server says
// what each reach would do.
const clock = m => String(Math.floor(m / 60)).padStart(2, '0') + ':' + String(m % 60).padStart(2, '0');
const SVG = 'http://www.w3.org/2000/svg';

export const week = Modal => () => ({
    held: null,
    moved: false,
    init() {
        this.columns = [...this.$root.querySelectorAll('[data-column]')].map(g => ({
            day: g.dataset.column,
            x: Number(g.dataset.x),
            width: Number(g.dataset.width),
        }));
        this.from = Number(this.$root.dataset.from);
        this.to = Number(this.$root.dataset.to);
        // Where the page is narrower than the week, it opens at today.
        const today = this.columns.find(c => c.day === this.$root.dataset.today);
        const svg = this.$root.querySelector('svg');
        // Whose row it is stays in sight, and leaves its place to nothing but itself.
        const names = [...svg.querySelectorAll('text.who')];
        this.$root.addEventListener('scroll', () => {
            const left = this.$root.scrollLeft;
            // Over the blocks, which are drawn after them.
            if (left > 0 && svg.lastElementChild !== names.at(-1)) svg.append(...names);
            names.forEach(name => {
                name.setAttribute('x', left);
                name.classList.toggle('is-beside', left > 0);
            });
        });
        if (today) this.$root.scrollLeft = today.x - Number(this.$root.dataset.left) - 8;
        svg.querySelectorAll('a[data-block]').forEach(a => this.unpack(a));
        svg.addEventListener('pointerdown', e => this.grab(e));
        svg.addEventListener('pointermove', e => this.drag(e));
        svg.addEventListener('pointerup', e => this.drop(e));
        svg.addEventListener('pointercancel', () => this.release());
        svg.addEventListener(
            'click',
            e => {
                if (this.moved) {
                    e.preventDefault();
                    this.moved = false;
                }
            },
            true,
        );
        document.querySelectorAll('[data-place]').forEach(chip => this.lend(chip, svg));
        svg.addEventListener('keydown', e => this.key(e));
        svg.addEventListener('focusin', e => {
            const a = e.target.closest('[data-move]');
            if (a) this.shade(a);
        });
        svg.addEventListener('focusout', () => {
            if (!this.held) this.unshade();
        });
        // Its parent has to be the body: a dialog inside what scrolls sideways would scroll with it.
        this.dialog = this.$refs.dialog;
        this.modal = new Modal(this.dialog);
        this.dialog.addEventListener('hidden.bs.modal', () => this.release());
    },
    // What a block says of how it moves: section, series, day, start and length in one attribute, and the session where
    // it leads to.
    unpack(a) {
        a.draggable = false;
        const [section, series, day, minute, minutes] = a.dataset.block.split(' ');
        const parts = [section, series, /\d+$/.exec(a.getAttribute('href'))[0]];
        const says = a.querySelector('title').textContent;
        const before = says.lastIndexOf(', ' + shortDate(day));
        Object.assign(a.dataset, {
            move: this.$root.dataset.move.replace(/\*/g, () => parts.shift()),
            day,
            minute,
            minutes,
            name: before < 0 ? says : says.slice(0, before),
        });
    },
    // Where a block would be: its day, start, and the column that it is in.
    place(a) {
        return {
            day: a.dataset.at_day ?? a.dataset.day,
            minute: Number(a.dataset.at ?? a.dataset.minute),
            minutes: Number(a.dataset.minutes),
        };
    },
    perMinute(column) {
        return column.width / (this.to - this.from);
    },
    put(a, day, minute) {
        const column = this.columns.find(c => c.day === day);
        const minutes = Number(a.dataset.minutes);
        minute = Math.max(this.from, Math.min(this.to - minutes, minute));
        a.dataset.at_day = day;
        a.dataset.at = String(minute);
        const own = this.columns.find(c => c.day === a.dataset.day);
        const was = own.x + (Number(a.dataset.minute) - this.from) * this.perMinute(own);
        const now = column.x + (minute - this.from) * this.perMinute(column);
        a.setAttribute('transform', 'translate(' + (now - was).toFixed(1) + ' 0)');
        a.classList.toggle('is-moving', day !== a.dataset.day || minute !== Number(a.dataset.minute));
        const words = shortDate(day) + ', ' + clock(minute) + '–' + clock(minute + minutes);
        const clash = this.clash(a, day, minute, minutes);
        a.classList.toggle('is-clashing', clash !== '');
        this.$refs.told.textContent = a.dataset.name + ': ' + words + (clash === '' ? '' : ' · ' + clash);
        this.ghost(this.top(a), now, minute, words, clash);
        return words;
    },
    // The upper edge of a block within the drawing: its row's, and its own within the row.
    top(a) {
        return Number(a.parentNode.dataset.y) + Number(a.querySelector('rect').getAttribute('y') ?? 0);
    },
    ghost(y, x, minute, words, clash) {
        const g = this.$root.querySelector('.ghost');
        g.textContent = '';
        const text = document.createElementNS(SVG, 'text');
        text.textContent = words + (clash === '' ? '' : ' · ' + clash);
        text.setAttribute('x', Math.max(0, x - 20).toFixed(1));
        text.setAttribute('y', (y > 60 ? y - 6 : y + 52).toFixed(1));
        text.setAttribute('class', clash === '' ? 'says' : 'says is-bad');
        g.append(text);
    },
    clash(a, day, minute, minutes) {
        const busy = a.busy ? a.busy.days[day] : null;
        if (!busy) return '';
        if (busy.closed) return say('week.closed', { why: busy.closed });
        const over = busy.spans.filter(s => s[0] < minute + minutes && s[1] > minute);
        if (over.some(s => s[2] === 'teacher')) return say('week.teacher');
        const most = Math.max(0, ...over.map(s => s[3]));
        return most === 0 ? '' : say('week.elsewhere', { n: most });
    },
    async shade(a) {
        if (!a.busy) {
            try {
                const answer = await fetch(a.dataset.move + '/busy', {
                    headers: { Accept: 'application/json', 'X-Requested-With': 'XMLHttpRequest' },
                });
                if (answer.ok) a.busy = await answer.json();
            } catch {
                /* without the server nothing is shaded; the move itself says so */
            }
        }
        if (!a.busy || (document.activeElement !== a && this.held?.a !== a)) return;
        this.fill(a.busy, this.top(a) - 3, a.querySelector('rect').getBBox().height + 6);
    },
    fill(busy, y, height) {
        const g = this.$root.querySelector('.shades');
        g.textContent = '';
        this.columns.forEach(column => {
            const day = busy.days[column.day];
            if (!day || day.closed) return;
            day.spans.forEach(([from, to, is]) => {
                const [start, end] = [Math.max(from, this.from), Math.min(to, this.to)];
                if (end <= start) return;
                const rect = document.createElementNS(SVG, 'rect');
                rect.setAttribute('class', 'shade is-' + is);
                rect.setAttribute('x', (column.x + (start - this.from) * this.perMinute(column)).toFixed(1));
                rect.setAttribute('y', y);
                rect.setAttribute('width', ((end - start) * this.perMinute(column)).toFixed(1));
                rect.setAttribute('height', height);
                g.append(rect);
            });
        });
    },
    // A series without a time is dragged in from beside the week: where its people are free is shaded, and what is in
    // the way where it is let go stands on a page of its own.
    lend(chip, svg) {
        chip.addEventListener('dragstart', async e => {
            e.dataTransfer.setData('text/uri-list', chip.href);
            this.lent = chip;
            try {
                const day = this.columns[0].day;
                const answer = await fetch(chip.dataset.place + '?day=' + day, {
                    headers: { Accept: 'application/json' },
                });
                if (answer.ok && this.lent === chip) this.shadeWeek(await answer.json(), svg);
            } catch {
                /* without the server nothing is shaded */
            }
        });
        chip.addEventListener('dragend', () => {
            this.lent = null;
            this.unshade();
        });
        if (this.takes) return;
        this.takes = true;
        svg.addEventListener('dragover', e => {
            if (this.lent) e.preventDefault();
        });
        svg.addEventListener('drop', e => {
            if (!this.lent) return;
            e.preventDefault();
            const x = e.clientX - svg.getBoundingClientRect().left;
            const column = this.columns.findLast(c => x >= c.x - 6) ?? this.columns[0];
            const off = Math.round((x - column.x) / this.perMinute(column) / 5) * 5;
            const minute = Math.max(this.from, Math.min(this.to - 5, this.from + off));
            const weekday = new Date(column.day + 'T12:00Z').getUTCDay() || 7;
            window.location = this.lent.href + '&weekdays[]=' + weekday + '&start=' + clock(minute);
        });
    },
    shadeWeek(busy, svg) {
        this.fill(busy, 0, svg.viewBox.baseVal.height);
    },
    unshade() {
        this.$root.querySelector('.shades').textContent = '';
    },
    grab(e) {
        const a = e.target.closest('[data-move]');
        if (!a || e.button !== 0) return;
        const box = this.$root.querySelector('svg').getBoundingClientRect();
        const at = this.place(a);
        const column = this.columns.find(c => c.day === at.day);
        this.held = {
            a,
            x: e.clientX,
            box,
            inside: e.clientX - box.left - (column.x + (at.minute - this.from) * this.perMinute(column)),
            pointer: e.pointerId,
            far: false,
        };
    },
    drag(e) {
        const h = this.held;
        if (!h || h.pointer !== e.pointerId) return;
        if (!h.far && Math.abs(e.clientX - h.x) < 4) return;
        if (!h.far) {
            h.far = true;
            this.$root.querySelector('svg').setPointerCapture(e.pointerId);
            this.shade(h.a);
        }
        e.preventDefault();
        const x = e.clientX - h.box.left;
        let column = this.columns[0];
        this.columns.forEach(c => {
            if (x - h.inside >= c.x - 6) column = c;
        });
        const minute = this.from + Math.round((x - h.inside - column.x) / this.perMinute(column) / 5) * 5;
        this.put(h.a, column.day, minute);
    },
    drop(e) {
        const h = this.held;
        if (!h || h.pointer !== e.pointerId) return;
        if (!h.far) {
            this.held = null;
            return;
        }
        this.moved = true;
        this.ask(h.a);
    },
    key(e) {
        const a = e.target.closest('[data-move]');
        if (!a) return;
        const at = this.place(a);
        const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
        if (by && e.shiftKey) {
            e.preventDefault();
            const column = this.columns[this.columns.findIndex(c => c.day === at.day) + by];
            if (column) this.put(a, column.day, at.minute);
        } else if (by) {
            e.preventDefault();
            this.put(a, at.day, at.minute + 5 * by);
        } else if (e.key === 'Enter' && a.classList.contains('is-moving')) {
            e.preventDefault();
            this.held = { a, far: true };
            this.ask(a);
        } else if (e.key === 'Escape') {
            this.back(a);
        }
    },
    // The question how far the move goes, with what each answer would do.
    async ask(a) {
        const at = this.place(a);
        if (at.day === a.dataset.day && at.minute === Number(a.dataset.minute)) {
            this.release();
            return;
        }
        const form = this.dialog.querySelector('form');
        form.action = a.dataset.move;
        form.querySelector('[name=move_day]').value = at.day;
        form.querySelector('[name=move_start]').value = clock(at.minute);
        form.querySelector('[name=move_end]').value = clock(at.minute + at.minutes);
        this.dialog.querySelector('h2').textContent = say('week.move', { name: a.dataset.name });
        const answer = this.dialog.querySelector('.answer');
        answer.textContent = say('week.working');
        this.modal.show();
        const data = new FormData(form);
        data.delete('_method');
        try {
            const reply = await fetch(a.dataset.move + '/moving', {
                method: 'POST',
                body: data,
                headers: { Accept: 'application/json, text/html', 'X-Requested-With': 'XMLHttpRequest' },
            });
            if (reply.ok) answer.innerHTML = await reply.text();
            else
                answer.textContent =
                    reply.status === 422 ? Object.values((await reply.json()).errors)[0][0] : say('week.unsure');
        } catch {
            answer.textContent = say('week.silent');
        }
        answer.querySelector('input:checked')?.focus();
    },
    back(a) {
        delete a.dataset.at;
        delete a.dataset.at_day;
        a.removeAttribute('transform');
        a.classList.remove('is-moving', 'is-clashing');
        this.$root.querySelector('.ghost').textContent = '';
        this.$refs.told.textContent = '';
    },
    release() {
        const a = this.held?.a;
        this.held = null;
        if (!a) return;
        this.back(a);
        this.unshade();
        a.focus();
    },
});

// A move that is typed: under it, live, what each reach would do.
export const mover = () => ({
    timer: 0,
    asked: 0,
    init() {
        ['input', 'change'].forEach(what =>
            this.$root.addEventListener(what, e => {
                if (e.target.name.startsWith('move_')) this.soon();
            }),
        );
        this.$root
            .querySelectorAll('[data-take]')
            .forEach(b => b.addEventListener('click', () => this.take(...b.dataset.take.split(' '))));
    },
    soon() {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.look(), 180);
    },
    async take(day, start, end, reach) {
        const set = (name, value) => {
            this.$root.querySelector('[name=' + name + ']').value = value;
        };
        set('move_day', day);
        set('move_start', start);
        set('move_end', end);
        await this.look();
        const radio = this.$root.querySelector('[name=reach][value=' + reach + ']');
        if (radio && !radio.disabled) radio.checked = true;
    },
    async look() {
        const mine = ++this.asked;
        const data = new FormData(this.$root);
        const chosen = data.get('reach');
        data.delete('_method');
        const faults = this.$root.querySelectorAll('[data-fault]');
        try {
            const reply = await fetch(this.$root.dataset.look, {
                method: 'POST',
                body: data,
                headers: { Accept: 'application/json, text/html', 'X-Requested-With': 'XMLHttpRequest' },
            });
            if (mine !== this.asked) return;
            const errors = reply.status === 422 ? (await reply.json()).errors : {};
            faults.forEach(el => {
                el.textContent = errors[el.dataset.fault] ? errors[el.dataset.fault][0] : '';
            });
            if (reply.ok) {
                this.$refs.made.innerHTML = await reply.text();
                const again = this.$root.querySelector('[name=reach][value=' + chosen + ']');
                if (again && !again.disabled) again.checked = true;
            }
        } catch {
            /* what is typed stays; it is looked at again at the next change */
        }
    },
});

// Days of the term are dragged over to close them: the range goes into the form beside.
export const closing = () => ({
    from: null,
    init() {
        const cells = [...this.$root.querySelectorAll('[data-day]')];
        const form = document.getElementById('first');
        if (!form) return;
        this.$root.addEventListener('pointerdown', e => {
            const cell = e.target.closest('[data-day]');
            if (cell && e.button === 0) {
                this.from = cell;
                this.far = false;
            }
        });
        this.$root.addEventListener('pointerover', e => {
            const cell = e.target.closest('[data-day]');
            if (!this.from || !cell || (cell === this.from && !this.far)) return;
            this.far = true;
            this.mark(cells, this.from.dataset.day, cell.dataset.day);
        });
        document.addEventListener('pointerup', () => {
            if (this.from && this.far) document.getElementById('reason').focus();
            this.from = null;
        });
        this.$root.addEventListener(
            'click',
            e => {
                if (this.far) {
                    e.preventDefault();
                    this.far = false;
                }
            },
            true,
        );
        this.$root.addEventListener('dragstart', e => e.preventDefault());
    },
    mark(cells, a, b) {
        const [first, last] = a < b ? [a, b] : [b, a];
        cells.forEach(c => c.classList.toggle('is-marked', c.dataset.day >= first && c.dataset.day <= last));
        document.getElementById('first').value = first;
        document.getElementById('last').value = last;
    },
});
