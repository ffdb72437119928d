const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

const written = date =>
    [DAYS[date.getUTCDay()], date.getUTCDate(), MONTHS[date.getUTCMonth()], date.getUTCFullYear()].join(' ');

/** A date's field: it is typed; the browser's own calendar is beside it and writes into it. */
export const dated = () => ({
    init() {
        const { button, picker } = this.$refs;
        button.hidden = typeof picker.showPicker !== 'function';
        picker.value = picker.dataset.iso;
    },
    pick() {
        this.$refs.picker.showPicker();
    },
    picked() {
        const { picker, typed } = this.$refs;
        const date = picker.valueAsDate;
        typed.value = date === null ? '' : written(date);
        typed.dispatchEvent(new Event('input', { bubbles: true }));
        typed.dispatchEvent(new Event('change', { bubbles: true }));
        typed.focus();
    },
});
