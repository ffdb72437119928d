const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** As the page writes dates: our own short way in English, the browser's names in every other language. */
const name = (date, part, names, n) => {
    const { lang } = document.documentElement;
    return lang.startsWith('en')
        ? names[n]
        : new Intl.DateTimeFormat(lang, { [part]: 'short', timeZone: 'UTC' }).format(date).replace('.', '');
};

const written = date =>
    [
        name(date, 'weekday', DAYS, date.getUTCDay()),
        date.getUTCDate(),
        name(date, 'month', MONTHS, date.getUTCMonth()),
        date.getUTCFullYear(),
    ].join(' ');

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
