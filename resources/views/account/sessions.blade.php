<div class="table-responsive" tabindex="0"><table class="plain"><thead><tr>
@if ($titles !== [])
<th>who</th>
@endif
<th>address</th><th>program</th><th>last click</th><th></th></tr></thead><tbody>
@forelse ($sessions as $session)
<tr>
@if ($titles !== [])
<td>{{ $titles[$session->user_id] ?? '–' }}</td>
@endif
<td class="mono">{{ $session->address }}</td><td class="fine">{{ $session->program }}</td>
<td>{!! \App\View\Words::time($session->seen) !!}@if ($session->here) <b>this one</b>@endif
</td>
<td>
@if (! $session->here)
<form method="post" action="{{ $end }}/{{ $titles === [] ? '' : $session->user_id.'/' }}{{ $session->key }}">
@csrf
<button class="btn small stop">End it</button></form>
@endif
</td></tr>
@empty<tr><td colspan="5">Nobody is signed in.</td></tr>@endforelse
</tbody></table></div>
