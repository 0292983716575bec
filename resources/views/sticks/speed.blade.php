<svg class="speed" viewBox="0 0 {{ $speed::WIDTH }} {{ $speed::HEIGHT }}" role="img"
 aria-label="Speed of each run; the history says the same.">
@foreach ($speed->lines as $line)
<path class="mark" d="{{ $line['path'] }}"/><text x="38" y="{{ $line['base'] }}">{{ $line['label'] }}</text>
@endforeach
@foreach ($speed->pebbles as $pebble)
@if ($pebble['kind'] === 'writing')
<ellipse class="w" cx="{{ $pebble['x'] }}" cy="{{ $pebble['y'] }}" rx="{{ $pebble['wide'] }}" ry="{{ $pebble['r'] }}">
<title>{{ $pebble['label'] }}</title>
</ellipse>
@else
<path class="r" d="{{ $pebble['slab'] }}"><title>{{ $pebble['label'] }}</title></path>
@endif
@endforeach
</svg>
