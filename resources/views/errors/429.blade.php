@extends('errors.frame')
@section('what', 'Too many tries')
@section('next')Wait a minute, then try again.@endsection
