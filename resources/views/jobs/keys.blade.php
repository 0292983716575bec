@extends('layout')
@section('title', "Keys of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">sealed keys</span></header>
@include('jobs.tabs', ['tab' => 'keys'])
@error('key')<p class="wrong" role="alert">{{ $message }}</p>@enderror
<section class="panel"><h2>Keys</h2>
@if ($keys->isEmpty())
<p>No key is kept here.
{{ $allowed ? '' : 'The bench\'s policy is to write down only where the owner keeps a key.' }}</p>
@else
<div class="table-responsive" tabindex="0"><table class="plain"><thead><tr><th>key</th><th>sealed by</th>
<th>kept until</th><th></th></tr></thead><tbody>
@foreach ($keys as $key)
<tr><td>
<b>{{ \App\Models\SealedKey::KINDS[$key->kind] ?? $key->kind }}</b> · {{ $key->label }}<br><span
 class="mono">••••••••••••</span></td>
<td>{{ $key->user->title }}, {!! \App\View\Words::time($key->created_at) !!}</td>
<td>{{ $key->isKept() ? \App\View\Words::local($key->expires_at, 'j M H:i') : 'deleted' }}</td>
<td>
@if ($key->isKept())
<form method="post" action="/jobs/{{ $job->id }}/keys/{{ $key->id }}/show" class="d-inline" hx-boost="false">
@csrf
<button class="btn small">Show, and log it</button></form>
<form method="post" action="/jobs/{{ $job->id }}/keys/{{ $key->id }}/delete" class="d-inline">
@csrf
<button class="btn small stop">Delete</button></form>
@endif
</td></tr>
@endforeach
</tbody></table></div>@endif</section>
@if ($allowed && $job->isOpen())
<form method="post" action="/jobs/{{ $job->id }}/keys" class="panel" autocomplete="off">@csrf<h2>Seal a key</h2>
<div class="choices">
<span class="form-label">Which kind</span>@foreach (\App\Models\SealedKey::KINDS as $value => $words)<label>
<input type="radio" name="kind" value="{{ $value }}" @checked(old('kind', 'recovery') === $value)> {{ $words }}</label>
@endforeach
</div>
@include('parts.error', ['field' => 'kind'])
<div class="row g-2"><div class="col-md-5"><label class="form-label" for="label">Its name</label>
<input id="label" name="label" class="form-control" maxlength="120" value="{{ old('label') }}"
 placeholder="the name the screen shows for it">
@include('parts.error', ['field' => 'label'])
</div><div class="col-md-7"><label class="form-label" for="secret">The key</label>
<input id="secret" name="secret" type="password" class="form-control mono" maxlength="400" autocomplete="new-password">
@include('parts.error', ['field' => 'secret'])
</div></div>
<p class="fine mt-2">Encrypted at once, shown only on request, every showing logged; deleted at the handover, or after
{{ $days }} days.</p>
<div class="acts"><button class="btn go">Seal it</button></div></form>
@endif
@endsection
