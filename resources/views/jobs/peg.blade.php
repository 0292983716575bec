<svg viewBox="{{ \App\Drawing\PegDrawing::BOX }}" width="92" height="70" aria-hidden="true">
<path class="stick" d="{{ $peg->drawing()['stick'] }}"/>
<path class="body" d="{{ $peg->drawing()['stone'] }}"/>
<path class="peg" d="{{ $peg->drawing()['peg'] }}"/>
<path class="cord" d="{{ $peg->drawing()['cord'] }}"/>
</svg>
