// Runs before the page is drawn, so that nobody sees the wrong scheme flash by.
(function () {
    var kept = null;
    try { kept = localStorage.getItem('nomada.theme'); } catch (e) { /* storage is shut */ }
    var dark = window.matchMedia && window.matchMedia('(prefers-color-scheme: dark)').matches;
    document.documentElement.setAttribute('data-bs-theme', kept || (dark ? 'dark' : 'light'));
})();
