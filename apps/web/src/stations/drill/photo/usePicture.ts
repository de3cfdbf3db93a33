import { greyOf, type GreyPicture } from '@snug/core'
import { useEffect, useState } from 'react'

/** A picture's brightness, once the browser has read it; a picture it cannot read says so. */
export function usePicture(address: string | undefined): { grey?: GreyPicture; problem?: string } {
  const [state, setState] = useState<{ of?: string; grey?: GreyPicture; problem?: string }>({})
  useEffect(() => {
    if (!address) return
    let gone = false
    const image = new Image()
    image.onload = () => {
      if (gone) return
      const canvas = document.createElement('canvas')
      canvas.width = image.naturalWidth
      canvas.height = image.naturalHeight
      const context = canvas.getContext('2d', { willReadFrequently: true })
      if (!context) return setState({ of: address, problem: 'This browser cannot read pictures.' })
      context.drawImage(image, 0, 0)
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height)
      setState({ of: address, grey: greyOf(data, width, height) })
    }
    image.onerror = () => !gone && setState({ of: address, problem: 'The picture is broken and cannot be shown.' })
    image.src = address
    return () => {
      gone = true
    }
  }, [address])
  return state.of === address ? state : {}
}
