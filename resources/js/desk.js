// The registration desk by keys: arrows from registrant to registrant; a, d and s press that row's buttons.
export const desk = () => ({
    init() {
        this.$root.addEventListener('keydown', e => this.key(e));
    },
    key(e) {
        const row = e.target.closest('tr.row-d');
        if (!row || e.target !== row || e.ctrlKey || e.metaKey || e.altKey) return;
        const rows = [...this.$root.querySelectorAll('tr.row-d')];
        const step = { ArrowDown: 1, ArrowUp: -1 }[e.key];
        if (step) {
            e.preventDefault();
            const next = rows[rows.indexOf(row) + step];
            if (!next) return;
            row.tabIndex = -1;
            next.tabIndex = 0;
            next.focus();
            return;
        }
        const button = row.querySelector(`[data-key='${CSS.escape(e.key)}']`);
        if (!button) return;
        e.preventDefault();
        e.stopPropagation();
        button.click();
        const drop = button.closest('details');
        if (drop && drop.open) drop.querySelector('input:not([type=hidden]), select').focus();
    },
});
