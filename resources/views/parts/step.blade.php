@if ($step->cautions !== [])
<ul class="cautions">
@foreach ($step->cautions as $caution)
<li>{{ $caution }}</li>
@endforeach
</ul>
@endif
<ol class="do">
@foreach ($step->instructions as $line)
<li>@words($line)</li>
@endforeach
</ol>
@if ($step->rows !== [])
<x-rows :rows="$step->rows"/>
@endif
@if (isset($shelf) && $shelf->isNotEmpty())
<p class="from-shelf">On the shelf:
@foreach ($shelf as $file)
<a href="/shelf/{{ $file->id }}/ways">{{ $file->title() }}</a>@if (! $loop->last) · @endif
@endforeach
<span class="fine">a stick can be built and proven from here</span></p>
@endif
