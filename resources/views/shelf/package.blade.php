@extends('layout')
@section('title', $package->package->name)
@section('content')
<header class="head">
<h1>{{ $package->package->name }}</h1>
<span class="goal">{{ $package->package->version }}, {{ $package->package->date }}</span>
<a class="btn ms-auto" href="/packages">All packages</a>
</header>
@if (session('left_out', []) !== [])
<section class="panel" role="status">
<h2>It is on the shelf; this in it could not be read</h2>
<ul>
@foreach (session('left_out') as $fault)
<li>{{ $fault }}</li>
@endforeach
</ul>
</section>
@endif
<section class="panel">
<table class="plain">
<tbody>
<tr><th>claims</th><td>{{ $package->claims() }}</td></tr>
<tr><th>for</th><td>{{ $package->systems() }}</td></tr>
<tr><th>signature</th><td>{{ $package->signature() }}</td></tr>
@if ($package->package->models !== [])
<tr><th>only for</th><td>{{ implode(', ', $package->package->models) }}</td></tr>
@endif
<tr><th>size</th><td>{{ $package->package->size()->exact() }}</td></tr>
<tr><th>sha256</th><td class="mono sum-line">{{ $package->package->sha256 }}</td></tr>
<tr><th>from</th><td>{{ $package->package->source }}</td></tr>
@if ($package->package->file !== null)
<tr><th>file</th><td class="mono">{{ $package->package->file }}</td></tr>
@endif
</tbody>
</table>
</section>
@forelse ($package->setupFiles() as $one)
<section class="panel">
<h2 class="mono">{{ $one['file']->path }} <span class="toward">{{ $one['file']->signed ? 'signed' : 'not signed' }},
version {{ $one['file']->version ?? 'not said' }}, {{ $one['file']->date ?? 'no date' }}</span></h2>
<div class="table-responsive" tabindex="0">
<table class="plain list stack">
<thead><tr><th>identifier</th><th>processor</th><th>from build</th><th>stands there</th><th>not for</th></tr></thead>
<tbody>
@foreach ($one['claims'] as $claim)
<tr>
<td class="mono">{{ $claim->id }}</td>
<td data-label="processor">{{ $claim->architecture ?? 'any' }}</td>
<td class="mono" data-label="from build">{{ $claim->fromBuild ?? 'any' }}</td>
<td data-label="stands there">{{ $claim->compatible ? 'as one that works with it' : 'itself' }}</td>
<td class="mono" data-label="not for">{{ implode(', ', $claim->excluded) }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
@if ($one['more'] !== '')
<p class="fine">{{ $one['more'] }}</p>
@endif
</section>
@empty
<section class="panel"><p>A manifest of the catalogue speaks for it. It claims:
<span class="mono">{{ implode(', ', $package->package->claims) }}</span></p></section>
@endforelse
@if (auth()->user()->isLead() && $package->package->file !== null)
<x-act :to="'/packages/'.$package->package->id.'/remove'">
<button class="btn">Take it off the shelf</button>
<span class="fine">Paths that exist keep what they say; new ones do without it.</span>
</x-act>
@endif
@endsection
