// Says how many of the lost sessions have a time chosen, as the choices change.
export const makeUps = () => ({
    init() {
        this.$root.addEventListener('change', () => this.count());
        this.count();
    },
    count() {
        const words = this.$refs.chosen;
        const n = this.$root.querySelectorAll('[type=radio]:checked:not([value=""])').length;
        words.textContent = words.dataset.words.replace(':n', n).replace(':of', words.dataset.of);
    },
});
