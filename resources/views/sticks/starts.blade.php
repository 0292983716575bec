@extends('layout')
@section('title', "Where {$title} starts")
@section('content')
<header class="head"><h1>Where {{ $title }} starts</h1><span class="goal"><a href="{{ $back }}">back to it</a> · its first sectors and loaders as they are now, against every model with the settings it comes with</span></header>
@unless ($there)<section class="panel"><h2>It is not there</h2><p>The stick is not plugged in, so nothing can be read from it.</p></section>@endunless
@foreach ($rows as $row)
@php($start = [...$row['start'], 'stones' => $row['start']['chain'], 'succeeds' => $row['start']['outcome'] === 'starts'])
<section class="panel crossing {{ $start['succeeds'] ? 'comes-through' : 'fails' }}"><h2><a href="/catalogue/machines/{{ $row['id'] }}">{{ $row['title'] }}</a> <span class="toward">{{ \Cobblestone\Boot\Model\Outcome::from($start['ends_in'])->title() }}</span></h2>
@include('parts.crossing', ['seed' => "{$title}-{$row['id']}", 'bank' => 'it starts'])
@unless ($start['succeeds'])<div class="beneath"><p>{{ $start['cause'] }}</p><dl><dt>you see</dt><dd>{{ $start['seen'] }}</dd><dt>cheapest way out</dt><dd><b>{{ $start['fix'] }}</b></dd></dl></div>@endunless
@if ($start['settled_by'] !== null)<p class="or">It depends on {{ \App\View\Words::fact($start['settled_by']) }}, which nobody has looked at.</p>@endif
@if ($start['otherwise'] !== [])<p class="or">@foreach ($start['otherwise'] as $other)With {{ \App\View\Words::fact($other['if']) }} <b>{{ $other['is'] }}</b>: {{ ['starts' => 'it starts', 'refused-secure-boot' => 'refused by Secure Boot', 'no-boot-device' => 'no bootable device', 'silent' => 'silent', 'loader-stopped' => 'the loader stops'][$other['outcome']] }}.@if (! $loop->last) @endif @endforeach</p>@endif
<div class="foot"><span class="ground">Ground: {{ \Cobblestone\Boot\Model\Ground::from($start['ground'])->title() }}</span><details><summary>Stone by stone</summary><table class="plain"><tbody>@foreach ($start['stones'] as $stone)<tr><td>{{ $stone['name'] }}</td><td class="{{ $stone['holds'] ? '' : 'bad' }}">{{ $stone['holds'] ? 'holds' : 'missing' }}</td><td>{{ $stone['words'] }}</td></tr>@endforeach</tbody></table></details></div></section>
@endforeach
@endsection
