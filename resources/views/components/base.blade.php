@props(['title' => null])
@include('layouts.base', ['title' => $title, 'slot' => $slot])
