<section class="panel" role="status">
<h2>{{ $read['new'] === [] ? 'Nothing new was read' : 'Read: '.implode(', ', $read['new']) }}</h2>
@if ($read['new'] === [] && $read['files'] > 0)
<p>What was given says the same as before; nothing has changed.</p>
@endif
@if ($read['problems'] !== [])
<p><b>Left out:</b></p>
<ul>
@foreach ($read['problems'] as $problem)
<li>{{ $problem }}</li>
@endforeach
</ul>
@endif
</section>
