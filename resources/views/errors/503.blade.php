@extends('errors.frame')
@section('what', 'Not ready')
@section('next')The application is being set up. Try again in a moment.@endsection
