@extends('layout')
@section('title', 'Shelf')
@section('content')
<header class="head"><h1>Shelf</h1><span class="goal">images and driver packages the catalogue describes</span></header>
<section class="panel"><h2>Images</h2>@if ($images->isEmpty())<p class="fine">The shelf is empty. A job can name an image by its size.</p>@else<div class="table-responsive" tabindex="0"><table class="plain list"><thead><tr><th>image</th><th>kind</th><th class="num">size</th><th>loader</th><th>published checksum</th><th>as of</th></tr></thead><tbody>
@foreach ($images as $entry)@php($image = new \Cobblestone\Catalogue\Image($entry->document))
<tr><td><a href="/catalogue/images/{{ $entry->slug }}">{{ $image->name }} {{ $entry->document['version'] }}</a></td><td>{{ str_replace('-', ', ', $image->kind()) }}</td><td class="num" title="{{ $image->size()->exact() }}">{{ $image->size()->decimal() }}</td><td>{{ match ($image->loaderSigned()) { true => 'signed, '.$image->signer().' signer', false => 'unsigned', null => 'not inspected' } }}</td><td class="mono">{{ isset($entry->document['sha256']) ? substr($entry->document['sha256'], 0, 16).'…' : 'none published' }}</td><td>{{ $entry->document['as_of'] }}</td></tr>@endforeach</tbody></table></div>@endif</section>
<section class="panel"><h2>Driver packages</h2>@if ($drivers->isEmpty())<p class="fine">None yet.</p>@else<div class="table-responsive" tabindex="0"><table class="plain list"><thead><tr><th>package</th><th>family</th><th>version</th><th class="num">size</th><th>restart</th><th>for</th></tr></thead><tbody>
@foreach ($drivers as $entry)@php($package = new \Cobblestone\Catalogue\DriverPackage($entry->document))
<tr><td><a href="/catalogue/drivers/{{ $entry->slug }}">{{ $package->name }}</a></td><td>{{ $package->family() }}</td><td class="mono">{{ $entry->document['version'] }}</td><td class="num" title="{{ $package->size()->exact() }}">{{ $package->size()->decimal() }}</td><td>{{ str_replace('-', ' ', $package->restart()) }}</td><td>{{ implode(', ', $entry->document['systems']) }}</td></tr>@endforeach</tbody></table></div>@endif</section>
@endsection
