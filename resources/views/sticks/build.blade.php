@extends('layout')
@section('title', "Building {$build->plan['title']}")
@section('content')
<header class="head"><h1>{{ $build->plan['title'] }}</h1>
<span class="goal">onto <a href="/sticks/{{ $slug }}">{{ $stick?->name ?? $slug }}</a></span></header>
@include('sticks.progress')
@endsection
