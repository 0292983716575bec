@isset($page->signed[$row->evidence->id])
<p class="signed">Accepted by the {{ $page->signed[$row->evidence->id]->by }}:
{{ $page->signed[$row->evidence->id]->reason }}</p>
@endisset
