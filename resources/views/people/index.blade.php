@extends('layout')
@section('title', 'People')
@section('content')
<header class="head"><h1>People</h1>
<span class="goal">who signs in at this bench; what an account did stays on record when it ends</span></header>
@include('account.did')
@include('parts.error', ['field' => 'person'])
@if ($handed !== null)
<section class="panel handed" role="status"><h2>Hand this over now</h2><p>
<b>{{ $handed['login'] }}</b> signs in with <b class="mono">{{ $handed['password'] }}</b> and chooses an own password
at once. It is shown this one time and kept nowhere in clear.</p>
</section>
@endif
<section class="panel"><div class="table-responsive" tabindex="0"><table class="plain people"><thead><tr>
<th>signs in as</th><th>title and role</th><th>second factor</th><th></th></tr></thead><tbody>
@foreach ($people as $person)
<tr class="{{ $person->isHere() ? '' : 'gone' }}"><td>
<b class="mono">{{ $person->login }}</b>@if ($person->must_change && $person->isHere())
<br><span class="fine">has not chosen an own password yet</span>@endif
</td>
<td>
@if ($person->isHere())
<form method="post" action="/people/{{ $person->id }}" class="inline-edit">
@csrf
<input type="hidden" name="as_seen" value="{{ $person->version() }}">
<input name="title" class="form-control" value="{{ $person->title }}" maxlength="120"
 aria-label="Title of {{ $person->login }}">
<select name="role" class="form-select" aria-label="Role of {{ $person->login }}">
@foreach (\App\Models\User::ROLES as $role)
<option @selected($person->role === $role)>{{ $role }}</option>
@endforeach
</select><button class="btn small">Save</button></form>
@else
{{ $person->title }}, {{ $person->role }}<br><span class="fine">ended
{!! \App\View\Words::time($person->ended_at) !!}</span>@endif
</td>
<td data-label="second factor">
@if ($person->hasCode())
on <form method="post" action="/people/{{ $person->id }}/code/off" class="d-inline">
@csrf
<button class="btn small">Take it off</button></form>
@else
off
@endif
</td>
<td class="row-acts">
@if ($person->isHere())
<form method="post" action="/people/{{ $person->id }}/password" class="d-inline">
@csrf
<button class="btn small">New password</button></form>
<form method="post" action="/people/{{ $person->id }}/end" class="d-inline">
@csrf
<button class="btn small stop">End the account</button></form>
@else
<form method="post" action="/people/{{ $person->id }}/reopen" class="d-inline">
@csrf
<button class="btn small">Open again</button></form>
@endif
</td></tr>
@endforeach
</tbody></table></div></section>
<form method="post" action="/people" class="panel">@csrf<h2>Somebody new</h2>
<div class="row g-2"><div class="col-md-4"><label class="form-label" for="login">Signs in as</label>
<input id="login" name="login" class="form-control" maxlength="60" value="{{ old('login') }}" placeholder="morning"
 autocomplete="off">
@include('parts.error', ['field' => 'login'])
</div>
<div class="col-md-5"><label class="form-label" for="title">Title</label>
<input id="title" name="title" class="form-control" maxlength="120" value="{{ old('title') }}"
 placeholder="morning technician">
@include('parts.error', ['field' => 'title'])
</div>
<div class="col-md-3"><label class="form-label" for="role">Role</label>
<select id="role" name="role" class="form-select">
@foreach (\App\Models\User::ROLES as $role)
<option @selected(old('role', 'technician') === $role)>{{ $role }}</option>
@endforeach
</select>
@include('parts.error', ['field' => 'role'])
</div></div>
<div class="acts"><button class="btn go">Make the account</button></div></form>
<section class="panel"><h2>Signed in now</h2>@include('account.sessions', ['end' => '/people/sessions'])</section>
<section class="panel"><h2>On record</h2>@include('parts.bench-events', ['events' => $events])</section>
@endsection
