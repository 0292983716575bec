// A photo that is looked at before it is sent: what must not be kept is drawn over with the finger or the pointer.
// Only where that is goes along; the bench's computer blackens it before anything is kept.
(() => {
    'use strict';
    const begin = (form) => {
        const file = form.querySelector('input[type=file]');
        const field = form.querySelector('input[name=black]');
        const sheet = form.querySelector('canvas');
        const back = form.querySelector('[data-take-back]');
        if (!file || !field || !sheet || sheet.dataset.ready) return;
        sheet.dataset.ready = '1';
        const pen = sheet.getContext('2d');
        let image = null,
            areas = [],
            from = null,
            to = null;

        const draw = () => {
            if (!image) return;
            pen.drawImage(image, 0, 0, sheet.width, sheet.height);
            pen.fillStyle = '#000';
            for (const [x, y, w, h] of from ? [...areas, areaOf(from, to)] : areas)
                pen.fillRect(x * sheet.width, y * sheet.height, w * sheet.width, h * sheet.height);
            field.value = JSON.stringify(areas);
            back.hidden = areas.length === 0;
        };
        const areaOf = (a, b) => [
            Math.min(a.x, b.x),
            Math.min(a.y, b.y),
            Math.abs(a.x - b.x),
            Math.abs(a.y - b.y),
        ];
        const at = (event) => {
            const box = sheet.getBoundingClientRect();
            const part = (value) => Math.min(1, Math.max(0, value));
            return {
                x: part((event.clientX - box.left) / box.width),
                y: part((event.clientY - box.top) / box.height),
            };
        };
        file.addEventListener('change', () => {
            areas = [];
            const chosen = file.files[0];
            if (!chosen) return;
            // As it is seen: turned as the camera was held. What is no picture is refused when it is sent.
            createImageBitmap(chosen).then(
                (seen) => {
                    image = seen;
                    sheet.width = 900;
                    sheet.height = Math.round((900 * seen.height) / seen.width);
                    sheet.hidden = false;
                    draw();
                },
                () => {
                    image = null;
                    sheet.hidden = true;
                },
            );
        });
        sheet.addEventListener('pointerdown', (event) => {
            event.preventDefault();
            sheet.setPointerCapture(event.pointerId);
            from = to = at(event);
        });
        sheet.addEventListener('pointermove', (event) => {
            if (!from) return;
            to = at(event);
            draw();
        });
        sheet.addEventListener('pointerup', (event) => {
            if (!from) return;
            const area = areaOf(from, at(event));
            from = to = null;
            // A touch without a way is no area.
            if (area[2] > 0.005 && area[3] > 0.005 && areas.length < 40) areas.push(area);
            draw();
        });
        back.addEventListener('click', () => {
            areas.pop();
            draw();
        });
    };
    const look = () => document.querySelectorAll('form[data-blackout]').forEach(begin);
    document.addEventListener('DOMContentLoaded', look);
    document.addEventListener('htmx:load', look);
})();
