<div class="run-head">
<a href="/jobs/{{ $job->id }}?stone={{ $step->id }}" data-key="Escape">{{ $job->title }}</a>
<span>{{ $page->place() }}</span>
<span class="turn">
@if ($before = $page->before())
<a href="?stone={{ $before->id }}" data-key="ArrowLeft" aria-label="The stone before: {{ $before->title }}">←</a>
@endif
@if ($after = $page->after())
<a href="?stone={{ $after->id }}" data-key="ArrowRight" aria-label="The stone after: {{ $after->title }}">→</a>
@endif
</span>
</div>
@if ($back = $page->takeBack())
<x-act :to="'/jobs/'.$job->id.'/steps/'.$back['step'].'/take-back'" :seen="$job->last_entry" class="take-back"
 :data-gone-at="$back['until']">
<span><b>{{ $back['title'] }}</b> is done.</span>
<button class="btn small" data-key="u">Take back <kbd>u</kbd>
<b class="clock" data-until="{{ $back['until'] }}"></b></button>
</x-act>
@endif
@if ($ahead = $page->ahead())
<p class="further">
Further on, <a href="?stone={{ $ahead->step->id }}">{{ $ahead->step->title }}</a>: {{ $ahead->words }}
</p>
@endif
