// Counts a way in with the hands: a line over the timeline, the move in large words, a tick a second if wanted.
(() => {
    'use strict';
    const LEAD = 3; // seconds to take hold before it begins
    let running = null;

    const tone = (audio, high) => {
        if (!audio) return;
        const sound = audio.createOscillator(),
            level = audio.createGain();
        sound.frequency.value = high ? 880 : 440;
        level.gain.setValueAtTime(0.15, audio.currentTime);
        level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.15);
        sound.connect(level).connect(audio.destination);
        sound.start();
        sound.stop(audio.currentTime + 0.16);
    };
    const stop = () => {
        if (!running) return;
        cancelAnimationFrame(running.frame);
        running.audio?.close();
        running.beat.setAttribute('visibility', 'hidden');
        running.button.textContent = 'Count with me';
        running = null;
    };
    const start = (figure, button) => {
        const { seconds, marks } = JSON.parse(figure.dataset.presses);
        const beat = figure.querySelector('.beat'),
            count = figure.querySelector('.count');
        const left = Number(beat.dataset.left),
            right = Number(beat.dataset.right);
        let audio = null;
        if (figure.querySelector('[data-sound]')?.checked) {
            try {
                audio = new AudioContext();
            } catch {
                audio = null;
            }
        }
        const from = performance.now() + LEAD * 1000;
        let last = null,
            lastSecond = null;
        running = { frame: 0, audio, beat, button };
        button.textContent = 'Stop';
        count.hidden = false;
        const draw = () => {
            if (!running) return;
            const at = (performance.now() - from) / 1000;
            if (at < 0) {
                const left = `Hands ready: ${Math.ceil(-at)}`;
                if (count.textContent !== left) count.textContent = left;
                running.frame = requestAnimationFrame(draw);
                return;
            }
            if (at > seconds) {
                count.textContent = marks[marks.length - 1].words;
                stop();
                return;
            }
            beat.setAttribute('visibility', 'visible');
            const x = left + ((right - left) * at) / seconds;
            beat.setAttribute('transform', `translate(${x.toFixed(1)} 0)`);
            const now = marks.filter((mark) => mark.at <= at + 0.02).pop();
            if (now && now !== last) {
                last = now;
                count.textContent = now.words;
                tone(audio, true);
            }
            const second = Math.floor(at);
            if (second !== lastSecond) {
                lastSecond = second;
                tone(audio, false);
            }
            running.frame = requestAnimationFrame(draw);
        };
        draw();
    };
    const ready = () =>
        document.querySelectorAll('[data-beat], .presses .sound').forEach((part) => {
            part.hidden = false;
        });
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-beat]');
        if (!button) return;
        const mine = running && running.button === button;
        stop();
        if (!mine) start(button.closest('.presses'), button);
    });
    document.addEventListener('htmx:afterSettle', ready);
    document.addEventListener('htmx:beforeSwap', stop);
    ready();
})();
