'use strict';
// Looks again every two seconds by the version, puts in what has changed, and sends what is done without leaving the
// page. Without it the page works by forms and reloading.
const room = document.querySelector('.room');
const at = path => `${room.dataset.base}/${path}?seat=${room.dataset.seat}`;
const fault = document.getElementById('fault');
let version = room.dataset.version;
let pen = null;

async function look() {
    const answer = await fetch(`${at('look')}&v=${version}`);
    if (answer.status === 304) return;
    const seen = await answer.json();
    version = String(seen.version);
    if (seen.state !== 'inside') {
        location.reload();
        return;
    }
    const focused = document.activeElement?.dataset?.key;
    for (const [name, html] of Object.entries(seen.parts)) {
        const part = document.getElementById(name);
        // Nothing is taken from under the hand that draws or types.
        if (part.querySelector('input:focus') === null) part.innerHTML = html;
    }
    choosePen(pen);
    if (focused) document.querySelector(`[data-key="${focused}"]`)?.focus();
}

async function send(what) {
    const answer = await fetch(at('do'), {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Accept: 'application/json' },
        body: JSON.stringify(what),
    });
    fault.textContent = answer.ok ? '' : (await answer.json()).error;
    await look();
}

document.addEventListener('submit', event => {
    const form = event.target;
    if (!form.action.includes('/do?')) return;
    event.preventDefault();
    send(Object.fromEntries(new FormData(form))).then(() => {
        if (form.id === 'say') form.reset();
    });
});
document.addEventListener('keydown', event => {
    if (event.target.matches('input, select, textarea') || event.ctrlKey || event.metaKey || event.altKey) return;
    document.querySelector(`[data-key="${CSS.escape(event.key)}"]`)?.click();
});

// The sheet.
function choosePen(which) {
    pen = which;
    document.querySelectorAll('[data-pen]').forEach(b => b.setAttribute('aria-pressed', String(b.dataset.pen === pen)));
}
function place(svg, event) {
    const box = svg.getBoundingClientRect();
    return [
        Math.round(((event.clientX - box.left) / box.width) * 800),
        Math.round(((event.clientY - box.top) / box.height) * 560),
    ];
}
let points = [];
document.addEventListener('click', event => {
    if (event.target.dataset.pen) choosePen(event.target.dataset.pen);
});
document.addEventListener('pointerdown', event => {
    const svg = event.target.closest('svg[data-draws]');
    if (!svg || !pen) return;
    event.preventDefault();
    const [x, y] = place(svg, event);
    if (pen === 'line') points = [[x, y]];
    if (pen === 'point') send({ do: 'mark', kind: 'point', x, y });
    if (pen === 'text') {
        const text = prompt('What is written there?');
        if (text) send({ do: 'mark', kind: 'text', x, y, text });
    }
});
document.addEventListener('pointermove', event => {
    const svg = event.target.closest('svg[data-draws]');
    if (svg && points.length > 0) points.push(place(svg, event));
});
document.addEventListener('pointerup', () => {
    if (points.length > 1) send({ do: 'mark', kind: 'line', points });
    points = [];
});
document.addEventListener('change', event => {
    if (event.target.id !== 'picture' || !event.target.files[0]) return;
    const reader = new FileReader();
    reader.onload = () => send({ do: 'mark', kind: 'picture', src: reader.result });
    reader.readAsDataURL(event.target.files[0]);
});

// Captions are asked for by whoever wants them only.
const captions = document.getElementById('captions');
async function caption() {
    const words = document.getElementById('caption');
    words.textContent = captions.checked ? (await (await fetch(at('caption'))).json()).text : '';
}
captions.addEventListener('change', caption);

// Microphone, loudspeaker, camera: tried before anybody hears.
const devices = document.getElementById('devices');
const words = document.getElementById('device-words');
let stream = null;
let listening = null;
async function tryDevices() {
    stop();
    try {
        const chosen = id =>
            document.getElementById(id).value ? { deviceId: document.getElementById(id).value } : true;
        stream = await navigator.mediaDevices
            .getUserMedia({ audio: chosen('mics'), video: chosen('cameras') })
            .catch(() => navigator.mediaDevices.getUserMedia({ audio: true }));
    } catch {
        words.textContent = 'The browser gives no microphone. Allow it beside the address, or go on by listening only.';
        return;
    }
    const all = await navigator.mediaDevices.enumerateDevices();
    for (const [id, kind] of [
        ['mics', 'audioinput'],
        ['cameras', 'videoinput'],
        ['speakers', 'audiooutput'],
    ]) {
        const list = document.getElementById(id);
        const kept = list.value;
        list.replaceChildren(
            ...all.filter(d => d.kind === kind).map((d, i) => new Option(d.label || `${i + 1}`, d.deviceId)),
        );
        if (kept) list.value = kept;
    }
    const see = document.getElementById('see');
    see.srcObject = stream;
    see.play();
    const context = new AudioContext();
    const analyser = context.createAnalyser();
    context.createMediaStreamSource(stream).connect(analyser);
    const wave = new Uint8Array(analyser.fftSize);
    listening = setInterval(() => {
        analyser.getByteTimeDomainData(wave);
        const loud = Math.max(...wave.map(v => Math.abs(v - 128))) / 128;
        document.getElementById('level').value = Math.min(1, loud * 2);
        if (loud > 0.02) words.textContent = 'The microphone hears you.';
    }, 100);
}
function stop() {
    clearInterval(listening);
    stream?.getTracks().forEach(track => track.stop());
    document.getElementById('see').srcObject = null;
}
document.getElementById('try').addEventListener('click', tryDevices);
['mics', 'cameras'].forEach(id => document.getElementById(id).addEventListener('change', tryDevices));
document.getElementById('sound').addEventListener('click', async () => {
    const context = new AudioContext();
    const speaker = document.getElementById('speakers').value;
    if (speaker && context.setSinkId) await context.setSinkId(speaker);
    const tone = context.createOscillator();
    tone.connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + 0.6);
    words.textContent = 'If you heard a tone, the loudspeaker works.';
});
function done(withCamera) {
    stop();
    devices.open = false;
    sessionStorage.setItem(`tried ${room.dataset.seat}`, '1');
    if (withCamera === false) fault.textContent = '';
}
document.getElementById('ready').addEventListener('click', () => done(true));
document.getElementById('no-camera').addEventListener('click', () => done(false));
devices.open = !sessionStorage.getItem(`tried ${room.dataset.seat}`);
devices.addEventListener('toggle', () => devices.open || stop());

setInterval(look, 2000);
setInterval(caption, 3000);
