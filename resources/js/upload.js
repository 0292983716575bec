// Brings a file to the shelf in pieces. What broke off goes on where it stopped when the same file is chosen again.
(() => {
    'use strict';
    const said = (bytes) =>
        bytes >= 1e9 ? `${(bytes / 1e9).toFixed(2)} GB` : `${(bytes / 1e6).toFixed(1)} MB`;
    const left = (seconds) =>
        seconds < 90 ? `${Math.ceil(seconds)} s left` : `${Math.round(seconds / 60)} min left`;
    const TRIES = 5,
        SAMPLE = 1048576;

    // CRC-32 (ISO 3309) of a piece, in hexadecimal: browsers offer stronger sums only over encrypted connections.
    const table = Uint32Array.from({ length: 256 }, (_, n) => {
        for (let k = 0; k < 8; k += 1) n = n & 1 ? (n >>> 1) ^ 0xedb88320 : n >>> 1;
        return n;
    });
    const crc = (bytes) => {
        let sum = -1;
        for (const byte of bytes) sum = (sum >>> 8) ^ table[(sum ^ byte) & 255];
        return ((sum ^ -1) >>> 0).toString(16).padStart(8, '0');
    };
    // Three places of the file: a file that broke off goes on only where it is the same one.
    const markOf = async (file) => {
        const length = Math.min(SAMPLE, file.size),
            places = [0, Math.floor((file.size - length) / 2), file.size - length];
        return (
            await Promise.all(
                places.map(async (at) =>
                    crc(new Uint8Array(await file.slice(at, at + length).arrayBuffer())),
                ),
            )
        ).join('');
    };

    const ask = async (url, options, token) => {
        const answer = await fetch(url, {
            ...options,
            headers: { 'X-CSRF-TOKEN': token, Accept: 'application/json', ...options.headers },
        });
        const body = await answer.json().catch(() => ({}));
        return { status: answer.status, body };
    };

    const bring = async (panel, file) => {
        const { upload: url, token } = panel.dataset;
        const state = panel.querySelector('.arrive-state'),
            bar = state.querySelector('progress'),
            words = state.querySelector('[data-words]'),
            wrong = panel.querySelector('.wrong');
        const fail = (message) => {
            state.hidden = true;
            wrong.hidden = false;
            wrong.textContent = message;
        };
        wrong.hidden = true;
        let cancelled = false;
        let mark;
        try {
            mark = await markOf(file);
        } catch {
            fail('The file cannot be read. Choose it again.');
            return;
        }
        const begun = await ask(
            url,
            {
                method: 'POST',
                body: JSON.stringify({ name: file.name, bytes: file.size, mark }),
                headers: { 'Content-Type': 'application/json' },
            },
            token,
        );
        if (begun.status !== 200) {
            fail(begun.body.message || 'The file was not taken. Load the page again and try once more.');
            return;
        }
        const { id, piece } = begun.body;
        let at = begun.body.received,
            tries = 0;
        const from = at,
            start = performance.now();
        state.hidden = false;
        state.querySelector('[data-cancel]').onclick = () => {
            cancelled = true;
        };
        const leaving = (event) => event.preventDefault();
        window.addEventListener('beforeunload', leaving);
        try {
            while (at < file.size) {
                if (cancelled) {
                    await ask(`${url}/${id}`, { method: 'DELETE' }, token);
                    state.hidden = true;
                    return;
                }
                let sent;
                try {
                    sent = await ask(
                        `${url}/${id}?at=${at}`,
                        {
                            method: 'PUT',
                            body: file.slice(at, at + piece),
                            headers: { 'Content-Type': 'application/octet-stream' },
                        },
                        token,
                    );
                } catch {
                    sent = { status: 0, body: {} };
                }
                if (sent.status === 200 || (sent.status === 409 && Number.isInteger(sent.body.received))) {
                    at = sent.body.received;
                    tries = sent.status === 200 ? 0 : tries + 1;
                } else {
                    tries += 1;
                }
                if (
                    tries > TRIES ||
                    (sent.status >= 400 &&
                        sent.status < 500 &&
                        !(sent.status === 409 && Number.isInteger(sent.body.received))) ||
                    sent.status === 507
                ) {
                    fail(
                        sent.body.message ||
                            'The connection broke off. Choose the same file again: it goes on where it stopped.',
                    );
                    return;
                }
                if (tries > 0)
                    await new Promise((go) => {
                        setTimeout(go, 500 * tries);
                    });
                const rate = (at - from) / ((performance.now() - start) / 1000);
                bar.value = (100 * at) / file.size;
                const speed = rate > 0 ? ` · ${(rate / 1e6).toFixed(1)} MB/s · ${left((file.size - at) / rate)}` : '';
                words.textContent = `${said(at)} of ${said(file.size)}${speed}`;
            }
        } finally {
            window.removeEventListener('beforeunload', leaving);
        }
        location.href = '/shelf';
    };

    document.addEventListener('change', (event) => {
        const panel = event.target.closest('[data-upload]');
        if (panel && event.target.files?.[0]) bring(panel, event.target.files[0]);
    });
})();
