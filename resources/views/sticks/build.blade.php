@extends('layout')
@section('title', "Building {$title}")
@section('content')
<header class="head"><h1>{{ $title }}</h1>
<span class="goal">onto <a href="/sticks/{{ $slug }}">{{ $stick?->name ?? $slug }}</a></span></header>
@include('sticks.progress')
@endsection
