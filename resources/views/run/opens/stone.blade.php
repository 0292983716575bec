<p>
It opens with the stone
<a href="?stone={{ $gate->opener->id }}">{{ $gate->opener->title }}</a>@if ($gate->openerWaits !== []),
which itself waits until {{ implode(', and ', $gate->openerWaits) }}@endif.</p>
