@if ($events->isEmpty())<p class="fine">Nothing yet.</p>@else
<ol class="log">
@foreach ($events as $event)
<li><span class="when">{!! \App\View\Words::time($event->created_at) !!}</span>
<div>{{ \App\View\BenchLine::text($event) }} <span
 class="fine">{{ $event->user?->title ?? 'at the console, or by itself' }}</span></div>
</li>
@endforeach
</ol>
@endif
