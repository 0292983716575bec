<figure class="port-side">
<svg viewBox="0 0 {{ $side::WIDTH }} {{ $side::HEIGHT }}" role="img" aria-label="{{ $side->words() }}">
<path class="body" d="{{ $side->outline }}"/>
@foreach ($side->sockets as $socket)
<rect class="{{ $socket['wanted'] ? 'wanted' : 'socket' }}" x="{{ $socket['x'] }}" y="{{ $socket['y'] }}"
 width="{{ $socket['w'] }}" height="{{ $socket['h'] }}" rx="{{ $side->corner($socket['connector']) }}"/>
@if ($socket['wanted'])
<path class="ring" d="{{ $side->ring($socket) }}"/>
@endif
@endforeach
<text x="14" y="{{ $side->base() }}">{{ $side->ends[0] }}</text>
<text class="end" x="{{ $side->right() }}" y="{{ $side->base() }}">{{ $side->ends[1] }}</text>
</svg>
<figcaption>{{ $caption }}</figcaption>
</figure>
