<ol class="path" aria-label="Path of the job, {{ count($progress->plan->steps) }} stones">
@foreach ($items as $item)
@if ($item['kind'] === 'gate')
<li class="gate {{ $item['open'] ? 'open' : 'shut' }}">
<svg width="22" height="62" viewBox="0 0 22 62" role="img">
<title>Gate. {{ $item['text'] }}</title><path d="M5 2V58M17 2V58"/><path d="{{ $item['bar'] }}"/>
</svg>
</li>
@elseif ($item['kind'] === 'ring')
<li class="ring">
<svg width="16" height="54" viewBox="0 0 16 54" role="img"><title>restart</title><circle cx="8" cy="27" r="6"/></svg>
</li>
@else
<li class="stone {{ $item['class'] }}">
<a href="/jobs/{{ $job->id }}?stone={{ $item['id'] }}">
<span class="ow">{{ $item['one_way'] ? 'one-way' : '' }}</span>
<svg width="{{ $item['width'] }}" height="{{ $item['height'] }}" viewBox="{{ $item['box'] }}" aria-hidden="true">
@if ($item['halo'])
<path class="halo" d="{{ $item['halo'] }}"/>
@endif
<path class="body" d="{{ $item['shape'] }}"/>
@if ($item['post'])
<path class="post" d="{{ $item['post'] }}"/>
@endif
<text x="{{ $item['middle'] }}" y="32">{{ $item['label'] }}</text>
</svg>
<span class="name">{{ $item['title'] }}<span class="visually-hidden">, {{ $item['text'] }}</span></span>
</a>
</li>
@endif
@endforeach
</ol>
