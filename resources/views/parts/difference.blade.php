<section class="difference" aria-label="What changed on the path">
<b>Revision {{ $job->revision }}</b> · {{ $reason }}
@if (array_filter($difference) === [])
<p>The path is the same as before.</p>
@else
<ul>
@foreach ($difference['shut'] ?? [] as $reason)<li><b>shut</b> {{ $reason }}</li>@endforeach
@foreach ($difference['opened'] ?? [] as $reason)<li><b>open again</b> <s>{{ $reason }}</s></li>@endforeach
@foreach ($difference['added'] as $title)<li><b>new</b> {{ $title }}</li>@endforeach
@foreach ($difference['dropped'] as $title)<li><b>gone</b> <s>{{ $title }}</s></li>@endforeach
@foreach ($difference['changed'] as $change)
<li><b>changed</b> {{ $change['title'] }}: {{ implode(', ', $change['what']) }}</li>
@endforeach
@foreach ($difference['decided'] as $decision)<li><b>decided</b> {{ $decision }}</li>@endforeach
</ul>@endif
</section>
