'use strict';
// Looks again every two seconds by the version, puts in what has changed, and sends what is done without leaving the
// page. Without it the page works by forms and reloading.
const room = document.querySelector('.room');
const at = path => `${room.dataset.base}/${path}?seat=${room.dataset.seat}`;
const fault = document.getElementById('fault');
const captions = document.getElementById('captions');
let version = room.dataset.version;
let pen = null;

async function look() {
    const answer = await fetch(`${at('look')}&v=${version}${captions.checked ? '&captions=1' : ''}`);
    if (answer.status === 304) return;
    const seen = await answer.json();
    version = String(seen.version);
    if (seen.state !== 'inside') {
        location.reload();
        return;
    }
    const focused = document.activeElement?.dataset?.key;
    const onBoard = document.activeElement?.id === 'board';
    for (const [name, html] of Object.entries(seen.parts)) {
        const part = document.getElementById(name);
        // Nothing is taken from under the hand that draws or types.
        if (part.querySelector('input:focus') !== null || (name === 'sheet' && drags)) continue;
        if (name === 'talk') renewTalk(part, html);
        else part.innerHTML = html;
    }
    choosePen(pen);
    if (focused) document.querySelector(`[data-key="${focused}"]`)?.focus();
    if (onBoard) document.getElementById('board')?.focus();
    showPen();
}

// Only what is new is put in, so that a screen reader reads only that.
function renewTalk(part, html) {
    const fresh = document.createElement('div');
    fresh.innerHTML = html;
    showTimes(fresh);
    const lists = [part.querySelector('ol'), fresh.querySelector('ol')];
    if (lists[0] === null) {
        part.replaceChildren(...fresh.childNodes);
        return;
    }
    const ids = new Set([...lists[1].children].map(line => line.dataset.id));
    [...lists[0].children].forEach(line => ids.has(line.dataset.id) || line.remove());
    const known = new Map([...lists[0].children].map(line => [line.dataset.id, line]));
    const atEnd = lists[0].scrollTop + lists[0].clientHeight >= lists[0].scrollHeight - 20;
    let before = null;
    for (const line of [...lists[1].children]) {
        const same = known.get(line.dataset.id);
        if (!same) before === null ? lists[0].prepend(line) : before.after(line);
        else if (same.innerHTML !== line.innerHTML) same.replaceWith(line);
        before = same && same.isConnected ? same : line;
    }
    if (atEnd) lists[0].scrollTop = lists[0].scrollHeight;
    // What is below the list: that the chat is stopped.
    while (lists[0].nextSibling) lists[0].nextSibling.remove();
    while (lists[1].nextSibling) part.append(lists[1].nextSibling);
}
// Times on the reader's own clock.
function showTimes(within) {
    within.querySelectorAll('time').forEach(time => {
        time.textContent = new Date(time.dateTime).toLocaleTimeString([], {
            hour: '2-digit',
            minute: '2-digit',
            hourCycle: 'h23',
        });
    });
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
let drags = false;
let cursor = [400, 280];
document.addEventListener('click', event => {
    if (event.target.dataset.pen) choosePen(event.target.dataset.pen);
});
document.addEventListener('pointerdown', event => {
    const svg = event.target.closest('svg[data-draws]');
    if (!svg || !pen) return;
    event.preventDefault();
    cursor = place(svg, event);
    drags = pen === 'line';
    setPoint();
});
document.addEventListener('pointermove', event => {
    const svg = event.target.closest('svg[data-draws]');
    if (!svg || !drags) return;
    points.push(place(svg, event));
    showPen();
});
document.addEventListener('pointerup', () => {
    if (drags) endLine();
    drags = false;
});
function setPoint() {
    const [x, y] = cursor;
    if (pen === 'line') points.push([x, y]);
    if (pen === 'point') send({ do: 'mark', kind: 'point', x, y });
    if (pen === 'text') write(x, y);
    showPen();
}
function endLine() {
    if (points.length > 1) send({ do: 'mark', kind: 'line', points });
    points = [];
    showPen();
}
function write(x, y) {
    const dialog = document.getElementById('writing');
    const written = document.getElementById('written');
    written.value = '';
    dialog.returnValue = '';
    dialog.onclose = () => {
        if (dialog.returnValue === 'put' && written.value !== '')
            send({ do: 'mark', kind: 'text', x, y, text: written.value });
        document.getElementById('board')?.focus();
    };
    dialog.showModal();
}
// The pen where the keys have moved it, and the line that is being drawn.
function showPen() {
    const svg = document.querySelector('svg[data-draws]');
    if (!svg) return;
    svg.querySelectorAll('.pen').forEach(mark => mark.remove());
    const add = (name, attributes) => {
        const mark = document.createElementNS('http://www.w3.org/2000/svg', name);
        Object.entries(attributes).forEach(([key, value]) => mark.setAttribute(key, value));
        mark.classList.add('pen');
        svg.append(mark);
    };
    if (points.length > 0) {
        const corners = drags ? points : [...points, cursor];
        add('polyline', { points: corners.map(p => p.join(',')).join(' '), class: 'mark' });
    }
    if (document.activeElement?.id === 'board' && !drags) {
        const [x, y] = cursor;
        add('path', { d: `M${x - 12} ${y}H${x + 12}M${x} ${y - 12}V${y + 12}`, class: 'cross' });
    }
}
const STEPS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
document.addEventListener('keydown', event => {
    if (event.target.id !== 'board' || event.ctrlKey || event.metaKey || event.altKey) return;
    const step = STEPS[event.key];
    const said = document.getElementById('pen-at');
    if (step) {
        const far = event.shiftKey ? 80 : 10;
        cursor = [
            Math.min(800, Math.max(0, cursor[0] + far * step[0])),
            Math.min(560, Math.max(0, cursor[1] + far * step[1])),
        ];
        said.textContent = `${Math.round(cursor[0] / 8)} % across, ${Math.round(cursor[1] / 5.6)} % down`;
        showPen();
    } else if (event.key === 'Enter' && pen === null) said.textContent = 'Choose first: draw, write or point.';
    else if (event.key === 'Enter') setPoint();
    else if (event.key === 'Escape') endLine();
    else return;
    event.preventDefault();
});
document.addEventListener('focusin', showPen);
document.addEventListener('focusout', () => setTimeout(showPen));
document.addEventListener('change', event => {
    if (event.target.id !== 'picture' || !event.target.files[0]) return;
    const reader = new FileReader();
    reader.onload = () => send({ do: 'mark', kind: 'picture', src: reader.result });
    reader.readAsDataURL(event.target.files[0]);
});

// Captions are fetched only if somebody wants them.
captions.addEventListener('change', look);

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

showTimes(document);
setInterval(look, 2000);
