<section class="panel memory-verdict {{ $sheet->verdict->isSettled() ? 'settled' : '' }}" role="status">
<h2>{{ $sheet->verdict->sentence }}</h2>
@if ($page->warning() !== '')
<p class="wrong">{{ $page->warning() }}</p>
@endif
@if ($sheet->next)
<p class="next-test"><b>Next test:</b> {{ $sheet->next->sentence }}</p>
@elseif (! $sheet->verdict->isSettled())
<p>
Nothing more can be told apart with what is at hand: bring a module known good, or another board.
</p>
@endif
</section>
<x-panel :title="$page->slotsTitle()">
@include('parts.memory-slots', ['slots' => $page->drawing()])
@if ($page->populations() !== '')
<p class="fine">This board fills: {{ $page->populations() }}.</p>
@endif
@includeWhen($mayWork, 'jobs.memory-test')
</x-panel>
@if ($page->tests() !== [])
<x-panel title="Tests made">
<div class="table-responsive" tabindex="0">
<table class="plain">
<thead>
<tr><th>when</th><th>what stood where</th><th>speed</th><th class="num">passes</th><th>outcome</th></tr>
</thead>
<tbody>
@foreach ($page->tests() as $test)
<tr>
<td class="fine">{{ $test['at'] }}</td><td>{{ $test['placed'] }}</td><td>{{ $test['speed'] }}</td>
<td class="num">{{ $test['passes'] }}</td><td class="outcome {{ $test['class'] }}">{{ $test['outcome'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
</x-panel>
@endif
