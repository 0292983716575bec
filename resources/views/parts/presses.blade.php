<figure class="presses" data-presses="{{ $presses->data() }}">
<svg viewBox="0 0 {{ $presses::WIDTH }} {{ $presses->height() }}" role="img" aria-label="{{ $presses->words() }}">
@foreach ($presses->seconds as $one)
<path class="tick" d="{{ $one['tick'] }}"/>
<text class="second" x="{{ $one['x'] }}" y="{{ $presses->below() }}">{{ $one['second'] }} s</text>
@endforeach
@foreach ($presses->lanes as $lane)
<text class="lane" x="{{ $presses->names() }}" y="{{ $lane['y'] }}">{{ $lane['name'] }}</text>
<path class="rail" d="{{ $lane['rail'] }}"/>
@endforeach
@foreach ($presses->stones as $stone)
<path class="{{ $stone['tapped'] ? 'tap' : 'held' }}" d="{{ $stone['shape'] }}"/>
@endforeach
<path class="beat" d="{{ $presses->beat() }}" visibility="hidden" data-left="{{ $presses->left() }}"
 data-right="{{ $presses->right() }}"/>
</svg>
<p class="count" aria-live="assertive" hidden></p>
<figcaption>
<ol>
@foreach ($presses->marks() as $mark)
<li><span class="mono">{{ $mark['at'] }} s</span> {{ $mark['words'] }}</li>
@endforeach
</ol>
<div class="acts">
<button type="button" class="btn" data-beat hidden>Count with me</button>
<label class="sound" hidden><input type="checkbox" data-sound> with a tick</label>
</div>
</figcaption>
</figure>
