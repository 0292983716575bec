@php($missing = collect($start['stones'])->firstWhere('holds', false))
<ol class="stones-over" aria-label="{{ count($start['stones']) }} stones, {{ $missing === null ? 'all of them stand' : "missing: {$missing['name']}" }}">
@foreach (\App\Drawing\CrossingDrawing::stones($start, $seed) as $stone)
<li class="{{ $stone['kind'] }}"><svg width="{{ $stone['width'] }}" height="{{ \App\Drawing\CrossingDrawing::HEIGHT }}" viewBox="0 0 {{ $stone['width'] }} {{ \App\Drawing\CrossingDrawing::HEIGHT }}" role="img"><title>{{ $stone['name'] }}: {{ $stone['words'] }}</title><path d="{{ $stone['shape'] }}"/><text x="{{ $stone['width'] / 2 }}" y="34">{{ $stone['name'] }}</text></svg></li>
@endforeach
<li class="bank {{ $start['succeeds'] ? 'reached' : '' }}"><svg width="158" height="{{ \App\Drawing\CrossingDrawing::HEIGHT }}" viewBox="0 0 158 {{ \App\Drawing\CrossingDrawing::HEIGHT }}" aria-hidden="true"><path d="{{ \App\Drawing\CrossingDrawing::bank($seed) }}"/></svg><span>{{ $bank }}@unless ($start['succeeds'])<br>not reached @endunless</span></li>
</ol>
