import qrcode from 'qrcode-generator';

// A QR code, drawn as one path: squares in rows, a quiet zone of four around.
export const qr = () => ({
    init() {
        const code = qrcode(0, 'M');
        code.addData(this.$root.dataset.text);
        code.make();
        const n = code.getModuleCount();
        let path = '';
        for (let y = 0; y < n; y++)
            for (let x = 0; x < n; x++) if (code.isDark(y, x)) path += 'M' + (x + 4) + ' ' + (y + 4) + 'h1v1h-1z';
        const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
        svg.setAttribute('viewBox', '0 0 ' + (n + 8) + ' ' + (n + 8));
        svg.setAttribute('aria-hidden', 'true');
        const draw = (tag, attributes) => {
            const el = document.createElementNS('http://www.w3.org/2000/svg', tag);
            Object.entries(attributes).forEach(([name, value]) => el.setAttribute(name, value));
            svg.append(el);
        };
        draw('rect', { width: n + 8, height: n + 8, fill: '#fff' });
        draw('path', { d: path, fill: '#000' });
        this.$root.append(svg);
    },
});
