<section class="panel" aria-labelledby="difference-title">
<h2 id="difference-title">Before and after</h2>
@if ($page->readings === [])
<p>The finished machine was not read yet; what is otherwise than before shows here then.</p>
@else
<ul class="fine">
@foreach ($page->readings as $one)
<li>{{ $one->source }}, {{ $one->user->title }}, {!! \App\View\Words::time($one->created_at) !!}</li>
@endforeach
</ul>
@if ($page->nothingDiffers())
<p>Nothing differs of what both readings say.</p>
@endif
@foreach ($page->parts() as $part => $lines)
<h3>{{ $part }}</h3>
<table class="plain stack before-after">
<thead><tr><th></th><th>before</th><th>after</th></tr></thead>
<tbody>
@foreach ($lines as $line)
<tr class="{{ $line->kind }}"><td>{{ $line->name }} <b>{{ $line->kind }}</b></td>
<td class="mono" data-label="before">{{ $line->was }}</td><td class="mono" data-label="after">{{ $line->is }}</td></tr>
@endforeach
</tbody>
</table>
@endforeach
<p class="fine">{{ $page->unseenWords() }}</p>
@endif
</section>
