<?php

use Illuminate\Support\Facades\Route;

Route::get('/', fn () => 'x')->name('board');
Route::get('/join', fn () => 'x')->name('join');
Route::get('/join/{secret}', fn () => 'x')->name('door');
Route::get('/feeds/{secret}.ics', fn () => 'x')->name('feed');
