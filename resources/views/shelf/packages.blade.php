@extends('layout')
@section('title', 'Driver packages')
@section('content')
<header class="head">
<h1>Driver packages</h1>
<span class="goal">{{ $total }} on the shelf, each by what it claims itself</span>
<a class="btn ms-auto" href="/shelf">Images</a>
</header>
<form class="search" action="/packages" role="search">
<input class="form-control" name="q" value="{{ $query }}" placeholder="name, identifier, system, source"
 aria-label="Search the packages">
<button class="btn">Search</button>
</form>
@if ($mayWork)
<section class="panel" aria-labelledby="bring-title">
<h2 id="bring-title">Bring a package</h2>
<x-act to="/packages" enctype="multipart/form-data">
<div class="row g-3">
<div class="col-md-6">
<label class="form-label" for="package">Archive: zip, 7z, cab, or a program that unpacks itself</label>
<input id="package" name="package" type="file" class="form-control" accept=".zip,.7z,.cab,.exe">
@include('parts.error', ['field' => 'package'])
</div>
<div class="col-md-6">
<label class="form-label" for="source">Where it comes from</label>
<input id="source" name="source" class="form-control" maxlength="200" value="{{ old('source') }}"
 placeholder="maker's page for exactly this model">
@include('parts.error', ['field' => 'source'])
</div>
</div>
<button class="btn go mt-2">Read it and keep it</button>
<p class="fine">It is never run: the setup-information files inside say which devices it is for.</p>
</x-act>
</section>
@endif
<section class="panel">
@if ($packages === [])
<div class="empty">
<p><b>{{ $query === '' ? 'No driver package is here yet.' : 'No package matches.' }}</b></p>
@if ($query === '')
<p>Bring an archive, or describe one in the catalogue.</p>
@else
<p>Try a part of the name, or an identifier.</p>
@endif
</div>
@else
<div class="table-responsive" tabindex="0">
<table class="plain list stack">
<thead>
<tr>
<th>package</th><th>claims</th><th>version</th><th>date</th><th class="num">size</th><th>signature</th><th>for</th>
</tr>
</thead>
<tbody>
@foreach ($packages as $line)
<tr>
<td><a href="/packages/{{ $line->package->id }}"><b>{{ $line->package->name }}</b></a>
@if ($line->package->file !== null)
<br><span class="fine mono">{{ $line->package->file }}</span>
@endif
</td>
<td data-label="claims">{{ $line->claims() }}</td>
<td class="mono" data-label="version">{{ $line->package->version }}</td>
<td class="mono" data-label="date">{{ $line->package->date }}</td>
<td class="num" data-label="size" title="{{ $line->package->size()->exact() }}">
{{ $line->package->size()->decimal() }}
</td>
<td data-label="signature">{{ $line->signature() }}</td>
<td data-label="for">{{ $line->systems() }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
@endif
</section>
@endsection
