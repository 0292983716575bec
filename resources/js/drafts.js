// What was typed at a stone stays typed, whichever button was pressed and whatever was refused. Kept in this tab only.
(() => {
    'use strict';
    const NEVER = ['hidden', 'password', 'file', 'submit', 'button'];
    const page = () => document.querySelector('#page[data-draft]');
    const key = () => `draft ${page().dataset.draft}`;
    const isKept = (field) =>
        field.name &&
        page()?.contains(field) &&
        !NEVER.includes(field.type) &&
        field.name !== 'serial' && // the last four of a serial are compared and never kept
        !field.closest('[data-no-draft]');
    const isTicked = (field) => ['radio', 'checkbox'].includes(field.type);
    const place = (field) =>
        `${field.form ? field.form.getAttribute('action') : ''} ${field.name}${isTicked(field) ? ` ${field.value}` : ''}`;
    const read = () => {
        try {
            return { typed: {}, sent: {}, ...JSON.parse(sessionStorage.getItem(key()) ?? '{}') };
        } catch {
            return { typed: {}, sent: {} };
        }
    };
    const write = (draft) => {
        try {
            sessionStorage.setItem(key(), JSON.stringify(draft));
        } catch {
            /* no room: the page works without */
        }
    };
    const value = (field) => (isTicked(field) ? field.checked : field.value);
    const fields = (within) => [...within.querySelectorAll('input, textarea, select')].filter(isKept);

    const remember = (event) => {
        const field = event.target;
        if (!page() || !(field instanceof Element) || !field.matches('input, textarea, select') || !isKept(field)) return;
        const draft = read();
        const group = field.type === 'radio' && field.form ? fields(field.form).filter((one) => one.name === field.name) : [field];
        group.forEach((one) => (draft.typed[place(one)] = value(one)));
        write(draft);
    };
    document.addEventListener('input', remember);
    document.addEventListener('change', remember);

    // What is sent is let go once it was taken; refused, it comes back.
    document.addEventListener(
        'submit',
        (event) => {
            if (!page() || !page().contains(event.target)) return;
            const draft = read();
            draft.sent = {};
            fields(page()).forEach((field) => {
                const mine = field.form === event.target;
                const now = value(field);
                delete draft.typed[place(field)];
                if (now !== '' && now !== false) (mine ? draft.sent : draft.typed)[place(field)] = now;
            });
            write(draft);
        },
        true,
    );

    const restore = () => {
        if (!page() || page().dataset.restored) return;
        page().dataset.restored = 'yes';
        const draft = read();
        const typed = 'refused' in page().dataset ? { ...draft.typed, ...draft.sent } : draft.typed;
        write({ typed, sent: {} });
        fields(page()).forEach((field) => {
            const was = typed[place(field)];
            if (was === undefined || was === '' || was === false) return;
            if (field.type === 'radio' && fields(field.form).some((one) => one.name === field.name && one.checked)) return;
            if (!isTicked(field) && field.tagName !== 'SELECT' && field.value !== '') return;
            if (isTicked(field)) field.checked = was;
            else field.value = was;
            for (let around = field.parentElement; around && around !== page(); around = around.parentElement) {
                if (around.tagName === 'DETAILS') around.open = true;
                if (around.hidden) around.hidden = false;
            }
        });
    };
    document.addEventListener('DOMContentLoaded', restore);
    document.addEventListener('htmx:afterSettle', restore);
    window.addEventListener('pageshow', restore);
})();
