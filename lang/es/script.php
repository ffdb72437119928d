<?php

// What the pages' scripts say by themselves (resources/js/words.js); a form for each of the language's plurals.
return [
    'editor' => [
        'silent' => 'El servidor no respondió. Lo que escribiste se conserva, y se comprueba otra vez cuando cambies '
            .'algo.',
    ],
    'plan' => [
        'chosen' => ['one' => 'de :n grupo', 'other' => 'de :n grupos'],
        'placements' => ['one' => ':n elemento', 'other' => ':n elementos'],
        'publish' => ['one' => 'Publicar :n', 'other' => 'Publicar :n'],
        'reading' => 'Cargando los cambios…',
        'silent' => 'El servidor no respondió. Cierra esto y ábrelo otra vez.',
        'tell' => ['one' => 'Anunciar cambios', 'other' => 'Anunciar cambios'],
        'to_tell' => ['one' => 'Cambios por anunciar', 'other' => 'Cambios por anunciar'],
        'unread' => 'No se pudieron cargar los cambios. Cierra esto y ábrelo otra vez.',
    ],
    'rows' => [
        'silent' => 'No se pudo cargar; se reintenta.',
    ],
    'tray' => [
        'more' => 'y :n más',
        'sections' => ['one' => ':n grupo seleccionado', 'other' => ':n grupos seleccionados'],
        'series' => ['one' => ':n serie seleccionada', 'other' => ':n series seleccionadas'],
    ],
    'week' => [
        'closed' => 'no lectivo: :why',
        'elsewhere' => ['one' => ':n estudiante está en otro sitio', 'other' => ':n estudiantes están en otro sitio'],
        'move' => 'Mover :name',
        'silent' => 'El servidor no respondió. No se ha movido nada.',
        'teacher' => 'el docente está en otro sitio',
        'unsure' => 'La vista previa falló. Cancela e inténtalo de nuevo.',
        'working' => 'Cargando la vista previa…',
    ],
    'options' => ['silent' => 'No se ha podido cargar. Vuelve a cargar la página.'],
];
