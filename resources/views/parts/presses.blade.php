@php($drawing = \App\Drawing\PressDrawing::of($sequence))
<figure class="presses" data-presses='{{ json_encode(['seconds' => $sequence->seconds, 'marks' => $sequence->marks], JSON_THROW_ON_ERROR) }}'>
<svg viewBox="0 0 {{ \App\Drawing\PressDrawing::WIDTH }} {{ $drawing->height() }}" role="img" aria-label="Timeline: {{ implode(' ', array_column($sequence->marks, 'words')) }}">
@foreach ($drawing->seconds as $tick)<path class="tick" d="M{{ $tick['x'] }} 6V{{ $drawing->floor() }}"/><text class="second" x="{{ $tick['x'] }}" y="{{ $drawing->floor() + 20 }}">{{ $tick['second'] }} s</text>@endforeach
@foreach ($drawing->lanes as $lane)<text class="lane" x="{{ \App\Drawing\PressDrawing::left() - 12 }}" y="{{ $lane['y'] + 5 }}">{{ \Illuminate\Support\Str::limit($lane['name'], 17) }}</text><path class="rail" d="M{{ \App\Drawing\PressDrawing::left() }} {{ $lane['y'] }}H{{ \App\Drawing\PressDrawing::WIDTH - 14 }}"/>@endforeach
@foreach ($drawing->stones as $stone)<path class="{{ $stone['tapped'] ? 'tap' : 'held' }}" d="{{ $stone['shape'] }}"/>@endforeach
<path class="beat" d="M0 4V{{ $drawing->floor() + 4 }}" visibility="hidden" data-left="{{ \App\Drawing\PressDrawing::left() }}" data-right="{{ $drawing->x($sequence->seconds) }}"/>
</svg>
<p class="count" aria-live="assertive" hidden></p>
<figcaption><ol>@foreach ($sequence->marks as $mark)<li><span class="mono">{{ rtrim(rtrim(number_format($mark['at'], 1, '.', ''), '0'), '.') }} s</span> {{ $mark['words'] }}</li>@endforeach</ol>
<div class="acts"><button type="button" class="btn" data-beat hidden>Count with me</button><label class="sound" hidden><input type="checkbox" data-sound> with a tick</label></div></figcaption></figure>
