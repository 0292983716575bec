@extends('layout')
@section('title', 'Erase a drive')
@section('content')
<header class="head"><h1>Erase a drive</h1>
<span class="goal">read back afterwards, with a certificate; deleting partitions is not erasing</span></header>
@include('parts.error', ['field' => 'drive'])
<ul class="rack">
@foreach ($page->drives as $name => $one)
<li class="panel" id="drive-{{ $name }}">
<h2>{{ $one['drive']->model }}</h2>
<p class="fine"><span title="{{ $one['drive']->size->exact() }}">{{ $one['drive']->size->decimal() }} ·
{{ $one['drive']->size->binary() }}</span>
@if ($one['drive']->isFailing)
· <b>its own record says replace</b>
@endif
@if ($one['drive']->serial === null)
· no serial
@endif
</p>
@foreach ($page->out($name) as $way => $why)
<p class="fine">Not {{ $way }}: {{ $why }}</p>
@endforeach
@if ($page->mayWork)
<form method="post" action="/erasures">
@csrf
<input type="hidden" name="drive" value="{{ $name }}">
<div class="choices">
@foreach ($one['advice']->ways() as $way)
<label><input type="radio" name="way" value="{{ $way->value }}" 
@checked($page->isChosen($name, $way))> {{ $way->title() }}</label>
@endforeach
</div>
@if ($one['advice']->caution !== '')
<p class="fine">{{ $one['advice']->caution }}</p>
@endif
@if ($one['drive']->serial !== null)
<label class="form-label" for="s-{{ $name }}">Last four of the serial, as printed on the drive</label>
<input id="s-{{ $name }}" name="serial" class="form-control mono" maxlength="20" autocomplete="off">
@else
<label class="check"><input type="checkbox" name="alone" value="1"> It has no serial to read: every other drive is
out</label>
@endif
<label class="form-label" for="d-{{ $name }}">Only where it is destroyed: how, and who saw it</label>
<input id="d-{{ $name }}" name="seen" class="form-control" maxlength="400"
value="{{ $page->isAsked($name) ? old('seen') : '' }}">
@if ($page->isAsked($name))
@include('parts.error', ['field' => 'way'])
@include('parts.error', ['field' => 'serial'])
@include('parts.error', ['field' => 'alone'])
@include('parts.error', ['field' => 'seen'])
@endif
<button class="btn stop mt-2">Erase it <span class="one-way">one-way</span></button>
</form>
@endif
</li>
@endforeach
</ul>
@if ($page->past !== [])
<section class="panel"><h2>Erased, or not</h2>
<table class="plain stack">
<thead><tr><th>drive</th><th>way</th><th>how it ended</th><th>by</th></tr></thead>
<tbody>
@foreach ($page->past as $one)
<tr><td><a href="/erasures/{{ $one->id }}">{{ $one->named() }}</a></td>
<td data-label="way">{{ $one->way()->title() }}</td>
<td data-label="how it ended">{{ $one->ended() }}</td>
<td class="fine" data-label="by">{{ $one->user->title }}, {!! \App\View\Words::time($one->created_at) !!}</td></tr>
@endforeach
</tbody>
</table>
</section>
@endif
@endsection
