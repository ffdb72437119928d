// What scripts say, in the page's language: its frame carries the words of lang/…/script.php.
const language = document.documentElement.lang;
const plurals = new Intl.PluralRules(language);
let words = null;

/** The words of a key like `week.move`, with its parameters put in; `n` chooses the form where it has several. */
export const say = (key, params = {}) => {
    words ??= JSON.parse(document.body.dataset.words ?? '{}');
    const found = key.split('.').reduce((at, part) => at?.[part], words) ?? key;
    const form = typeof found === 'string' ? found : (found[plurals.select(params.n)] ?? found.other);
    return form.replace(/:([a-z]+)/g, (whole, name) => params[name] ?? whole);
};

/** A date (a Date at noon of UTC, or `2027-02-09`) as the page writes it: `Tue 9 Feb`. */
export const shortDate = date =>
    new Date(typeof date === 'string' ? date + 'T12:00:00Z' : date)
        .toLocaleDateString(language, { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
        .replace(/[.,]/g, '');
