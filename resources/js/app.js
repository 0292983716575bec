// Keys, clocks and the bell. Every page works without this file; with it, hands stay on the keyboard.
(() => {
    'use strict';
    const READ_AFTER = 900; // milliseconds a stone must stand before space counts: long enough to be seen
    const $ = (selector, within = document) => within.querySelector(selector);
    const all = (selector, within = document) => [...within.querySelectorAll(selector)];
    const visible = (element) => element && element.offsetParent !== null;
    let shownAt = performance.now();
    let kerbHeld = false;
    let goTo = null;
    let rangFor = '';

    // ---- clocks: data-since counts up, data-until counts down and past zero
    const spoken = (seconds) => {
        const s = Math.abs(seconds),
            h = Math.floor(s / 3600);
        const text =
            h > 0
                ? `${h}:${String(Math.floor(s / 60) % 60).padStart(2, '0')}:${String(s % 60).padStart(2, '0')}`
                : `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
        return seconds < 0 ? `+${text}` : text;
    };
    const tick = () => {
        const now = Math.floor(Date.now() / 1000);
        all('.clock[data-since]').forEach((clock) => {
            const run = now - Number(clock.dataset.since);
            clock.textContent = spoken(Math.max(0, run));
            clock.classList.toggle(
                'past',
                run > Number(clock.dataset.likely) && run <= Number(clock.dataset.high),
            );
            clock.classList.toggle('worry', run > Number(clock.dataset.high));
        });
        all('.clock[data-until]').forEach((clock) => {
            clock.textContent = spoken(Number(clock.dataset.until) - now);
        });
        all('[data-gone-at]').forEach((strip) => {
            strip.hidden = now > Number(strip.dataset.goneAt);
        });
    };
    setInterval(tick, 500);

    // ---- the bell: one soft tone when something new needs hands, if the browser allows sound
    const ring = () => {
        const first = $('#bell .bell-first');
        const key = first ? first.getAttribute('href') : '';
        if (key && key !== rangFor && rangFor !== null && document.hidden) {
            try {
                const audio = new AudioContext(),
                    tone = audio.createOscillator(),
                    level = audio.createGain();
                tone.frequency.value = 523;
                level.gain.setValueAtTime(0.12, audio.currentTime);
                level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 1.2);
                tone.connect(level).connect(audio.destination);
                tone.start();
                tone.stop(audio.currentTime + 1.2);
            } catch {
                /* no sound here: the strip is enough */
            }
            if (window.Notification && Notification.permission === 'granted')
                new Notification('Cobblestone', { body: first.textContent.trim() });
        }
        rangFor = key;
    };

    // ---- panels that open in place
    const open = (id) => {
        const panel = document.getElementById(id);
        if (!panel) return;
        panel.hidden = !panel.hidden;
        if (!panel.hidden) {
            ($('textarea', panel) || panel).focus?.();
            panel.scrollIntoView({ block: 'nearest' });
        }
    };
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-opens]');
        if (button) open(button.dataset.opens);
        if (event.target.closest('[data-print]')) window.print();
    });

    // ---- keys
    const typing = (element) =>
        element && (element.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(element.tagName));
    const follow = (element) => {
        if (/^(INPUT|SELECT)$/.test(element.tagName)) element.focus();
        else element.click();
    };
    const space = () => {
        const card = $('.stone-card');
        if (!card || performance.now() - shownAt < READ_AFTER) return;
        if (card.dataset.space === 'done') $('#done button')?.click();
        if (card.dataset.space === 'evidence')
            (
                all('.evidence input').find((field) => !field.value && visible(field)) || $('.evidence input')
            )?.focus();
    };
    const showKeys = () => {
        const on = document.body.classList.toggle('show-keys');
        all('.key-flag').forEach((flag) => flag.remove());
        if (!on) return;
        all('[data-key]')
            .filter(visible)
            .forEach((target) => {
                const flag = document.createElement('span'),
                    box = target.getBoundingClientRect();
                flag.className = 'key-flag';
                flag.textContent = target.dataset.key;
                flag.style.cssText = '';
                flag.style.left = `${box.left + window.scrollX}px`;
                flag.style.top = `${box.top + window.scrollY - 14}px`;
                document.body.append(flag);
            });
    };
    const pageKey = (key) => {
        const entry = ($('#page')?.dataset.keys || '').split(';').find((pair) => pair.split('=')[0] === key);
        return entry ? entry.slice(key.length + 1) : null;
    };
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        if (event.key === 'Escape' && typing(document.activeElement)) {
            document.activeElement.blur();
            return;
        }
        if (typing(document.activeElement) && document.activeElement.type !== 'radio') return;
        // On a one-way stone space does nothing at all, not even on the button that has the focus.
        if (
            event.key === ' ' &&
            document.activeElement.closest?.('.one-way .strip button,.one-way #done button')
        ) {
            event.preventDefault();
            return;
        }
        if (event.key === ' ' && document.activeElement.closest?.('button,summary,input')) return;
        if (kerbHeld) {
            const place = $(`.kerb [data-place="${CSS.escape(event.key)}"]`);
            if (place) {
                goTo = place;
                event.preventDefault();
            }
            return;
        }
        if (event.repeat) return;
        if (event.key === 'k') {
            kerbHeld = true;
            $('.kerb')?.classList.add('letters');
            return;
        }
        if (event.key === 'h') {
            showKeys();
            return;
        }
        if (event.key === ' ') {
            if ($('.stone-card')) {
                event.preventDefault();
                space();
            }
            return;
        }
        const target = all(`[data-key="${CSS.escape(event.key)}"]`).find(visible);
        if (target) {
            event.preventDefault();
            follow(target);
            return;
        }
        const href = pageKey(event.key);
        if (href) {
            event.preventDefault();
            location.href = href;
            return;
        }
        if (event.key === '/') {
            event.preventDefault();
            $('.kerb [data-place="/"]')?.click();
        }
    });
    document.addEventListener('keyup', (event) => {
        if (event.key === 'k' || (kerbHeld && goTo && event.key === goTo.dataset.place)) {
            kerbHeld = false;
            $('.kerb')?.classList.remove('letters');
            const place = goTo;
            goTo = null;
            place?.click();
        }
    });

    const arrived = () => {
        shownAt = performance.now();
        all('.key-flag').forEach((flag) => flag.remove());
        document.body.classList.remove('show-keys');
        tick();
        const water = $('.water'),
            stone = $('.path .chosen') || $('.path .now');
        if (water && stone && water.scrollHeight > water.clientHeight)
            water.scrollTop = stone.offsetTop - water.offsetTop - water.clientHeight / 3;
        const wrong = $('#page .wrong[role="alert"]');
        const field = wrong && wrong.parentElement.querySelector('input:not([type=hidden]),textarea,select');
        if (visible(field)) field.focus();
    };
    // What came in stands there before it settled: space pressed for the stone before must not lay it.
    document.addEventListener('htmx:afterSwap', (event) => {
        if (event.detail.target?.id === 'page') shownAt = performance.now();
    });
    document.addEventListener('htmx:afterSettle', (event) => {
        const part = event.detail.target?.id;
        // Only a page is an arrival: a part that comes in beside a form takes the focus from nobody.
        if (part === 'page') {
            arrived();
            $('#page [autofocus]')?.focus();
        } else {
            tick();
        }
        if (part === 'page' || part === 'bell') ring();
    });
    document.addEventListener('DOMContentLoaded', () => {
        rangFor = $('#bell .bell-first')?.getAttribute('href') || '';
        arrived();
    });
    if (document.readyState !== 'loading') arrived();
})();
