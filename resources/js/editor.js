import { say } from './words';

// The series editor: under it, live, what the pattern makes. Nothing is saved by looking.
export const editor = () => ({
    timer: 0,
    asked: 0,
    touched: new Set(),
    told: new Set(),
    init() {
        // What saving was refused for stays until its field is touched: a look does not ask what saving asks.
        this.$root.querySelectorAll('[data-fault]').forEach(el => {
            if (el.textContent.trim() !== '') this.told.add(el.dataset.fault);
        });
        ['input', 'change'].forEach(what =>
            this.$root.addEventListener(what, e => {
                this.touched.add(e.target.name.replace('[]', ''));
                if (e.target.name !== 'title') this.plan('1');
                this.soon();
            }),
        );
        this.$root
            .querySelectorAll('[data-free]')
            .forEach(button =>
                button.addEventListener('click', () =>
                    this.take(...button.dataset.free.split(' ').map(Number), button.dataset.period),
                ),
            );
        if (this.$root.querySelector('[name=plan_touched]')?.value === '') this.plan('0');
        // A series that is changed is looked at as it is; a new one once something is typed.
        if (this.$root.querySelector('[name=start_time]').value !== '') this.look();
    },
    // Whether anything but the title was touched: where somebody else has saved meanwhile, it decides what can stand.
    plan(touched) {
        const field = this.$root.querySelector('[name=plan_touched]');
        if (field) field.value = touched;
    },
    // A free time: another clock time, and the weekdays moved as far as it says.
    take(start, minutes, shift, period) {
        const clock = m => String(Math.floor(m / 60)).padStart(2, '0') + ':' + String(m % 60).padStart(2, '0');
        const set = (name, value) => {
            this.$root.querySelector('[name=' + name + ']').value = value;
        };
        set('start_time', clock(start));
        set('end_time', clock(start + minutes));
        set('sure_start_time', start + ' ' + clock(start));
        set('sure_end_time', start + minutes + ' ' + clock(start + minutes));
        const at = this.$root.querySelector(period ? '#at-period' : '#at-clock');
        if (at) at.checked = true;
        if (period) set('period', period);
        const boxes = [...this.$root.querySelectorAll("[name='weekdays[]']")];
        const days = boxes.filter(b => b.checked).map(b => Number(b.value) + shift);
        boxes.forEach(b => {
            b.checked = days.includes(Number(b.value));
        });
        ['start_time', 'end_time', 'weekdays'].forEach(name => this.touched.add(name));
        this.plan('1');
        this.look();
    },
    soon() {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.look(), 160);
    },
    async look() {
        const mine = ++this.asked;
        const form = this.$root.closest('form') ?? this.$root;
        const data = new FormData(form);
        data.delete('_method');
        this.faults({});
        try {
            const answer = await fetch(form.dataset.preview, {
                method: 'POST',
                body: data,
                headers: { Accept: 'application/json, text/html', 'X-Requested-With': 'XMLHttpRequest' },
            });
            if (mine !== this.asked) return;
            if (answer.status === 422) {
                this.faults((await answer.json()).errors);
                this.$refs.made.setAttribute('data-stale', '');
            } else if (answer.ok) {
                this.$refs.made.innerHTML = await answer.text();
                this.$refs.made.removeAttribute('data-stale');
            }
        } catch {
            this.$refs.made.textContent = say('editor.silent');
        }
    },
    faults(errors) {
        this.$root.querySelectorAll('[data-fault]').forEach(el => {
            if (this.told.has(el.dataset.fault) && !this.touched.has(el.dataset.fault)) return;
            // What was not come to yet is not complained of.
            const words =
                this.touched.has(el.dataset.fault) || el.dataset.fault === 'form' ? errors[el.dataset.fault] : null;
            el.textContent = words ? words[0] : '';
            this.answers(el, words ? words[0] : '');
        });
    },
    // "15:00 or 03:00?" and "05:30 is before 07:00. Is that meant?" are answered by a button.
    answers(el, words) {
        const field = el.dataset.fault;
        if (!field.endsWith('_time') || !words.includes('?')) return;
        const sure = this.$root.querySelector('[name=sure_' + field + ']');
        (words.match(/\d\d:\d\d(?! and)/g) ?? [])
            .filter(t => t !== '07:00' && t !== '21:00')
            .forEach(time => {
                // The answer belongs to this text: another one is asked about again.
                const typed = this.$root.querySelector('[name=' + field + ']').value.trim();
                const button = document.createElement('button');
                button.type = 'button';
                button.className = 'btn btn-side ms-2';
                button.textContent = time;
                button.addEventListener('click', () => {
                    const [h, m] = time.split(':').map(Number);
                    sure.value = h * 60 + m + ' ' + typed;
                    this.look();
                });
                el.append(' ', button);
            });
    },
});
