@if ($seen !== null)
<section class="notice" id="seen-before" aria-label="Seen here before">
<b>{{ $seen->sentence() }}</b>
<ul class="plain">
@foreach ($seen->visits() as $visit)
<li>
<a hx-boost="false" href="/jobs/{{ $visit['job'] }}">{{ $visit['title'] }}</a>, {{ $visit['when'] }}
@if ($new && $visit['again'])
· <a hx-boost="false" href="/jobs/new?again={{ $visit['job'] }}">begin with this machine</a>
@endif
</li>
@endforeach
@if ($seen->notNamed() > 0)
<li class="fine">and {{ $seen->notNamed() }} more</li>
@endif
</ul>
</section>
@endif
