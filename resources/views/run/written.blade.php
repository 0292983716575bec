@if ($written !== [])
<div class="written"><b>{{ $page->closed ? 'Written down' : 'To write down here' }}</b>
<ul>
@foreach ($written as $line)
<li>{{ $line->words }}
@if ($line->found !== '')
<small class="{{ $line->isOpen() ? 'hands' : 'fine' }}">{{ $line->found }}</small>
@endif
@if ($line->accepted !== '')
<small class="fine">accepted, because: {{ $line->accepted }}</small>
@endif
</li>
@endforeach
</ul>
</div>
@endif
