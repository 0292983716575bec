@extends('layout')
@section('title', "Intake of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">intake · a change computes the path again; finished stones stay</span><a class="btn ms-auto" href="/jobs/{{ $job->id }}">Back to the path</a></header>
<form method="post" action="/jobs/{{ $job->id }}/intake" class="panel intake">@csrf<input type="hidden" name="seen" value="{{ old('seen', $job->last_entry) }}">
@include('jobs.form')
<h2>What is known of the machine</h2>
@include('parts.error', ['field' => 'facts'])
<div class="table-responsive"><table class="plain"><thead><tr><th>fact</th><th>value</th><th></th><th>from</th><th>correct it</th></tr></thead><tbody>
@foreach ($plan['facts'] as $fact)<tr><td class="mono">{{ $fact['name'] }}</td><td>{{ is_array($fact['value']) ? implode(', ', $fact['value']) : (str_ends_with($fact['name'], '_bytes') && is_int($fact['value']) ? \Cobblestone\Quantity\Bytes::of($fact['value'])->decimal() : (str_starts_with($fact['name'], 'target.serial') ? \Cobblestone\Runbook\Confirmation::mask((string) $fact['value']) : $fact['value'])) }}</td><td class="certainty {{ $fact['certainty'] }}">{{ $fact['certainty'] }}</td><td class="fine">{{ $fact['origin'] }}{{ $fact['at'] ? ', '.$fact['at'] : '' }}</td>
<td>@unless (str_starts_with($fact['name'], 'target.serial'))<input name="facts[{{ $fact['name'] }}]" class="form-control form-control-sm mono" aria-label="Correct {{ $fact['name'] }}" value="{{ old('facts')[$fact['name']] ?? ($brief['machine']['facts'][$fact['name']] ?? '') }}">@endunless</td></tr>@endforeach
</tbody></table></div>
@if ($plan['notes'] !== [])<h2>Not understood, or contradictory</h2><ul>@foreach ($plan['notes'] as $note)<li>{{ $note }}</li>@endforeach</ul>@endif
<div class="acts"><button class="btn go">Compute the path again</button></div>
</form>
@endsection
