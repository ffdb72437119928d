<?php

return [
    'students' => ':count estudiante|:count estudiantes',
    'sessions' => ':count sesión|:count sesiones',
    'sections' => ':count grupo|:count grupos',
    'teachers' => ':count docente|:count docentes',
    'dates' => ':count fecha|:count fechas',
    'people' => ':count persona|:count personas',
    'series' => ':count serie|:count series',
    'more' => 'y :count más|y :count más',
];
